import type { Path, Vec3 } from '../geometry/path';
import { sideOf, type Pose } from '../geometry/pose';
import { between3, cross3, minus3, norm3, plus3, scaled3, straightened } from '../geometry/vec3';
import { abreast, type Carrier } from './carriers';

/** Where the row of carriers stands at a place: their points, which way lies across the row, and which towards its front. */
interface Station {
  readonly points: readonly Vec3[];
  readonly across: Vec3;
  readonly front: Vec3;
}

function stationAt(carriers: readonly Carrier[], x: number): Station {
  const poses = carriers.map((carrier) => carrier(x));
  const points = poses.map(({ at }) => at);
  const [first, last] = [poses[0] as Pose, poses.at(-1) as Pose];
  const row = minus3(last.at, first.at);
  const across = norm3(row) > 1e-9 ? straightened(row, first.along) : sideOf(first);
  return { points, across, front: cross3(first.along, across) };
}

/**
 * A winding that was laid flat (frame wires along x, A at y = 0 and the others beside it, z to the eye), on its carriers as they really
 * run: it rides on stretches of those wires, and bends with them.
 * @param given the carriers, A first
 * @param row where each of them lies across in the flat, mm from A, rising
 * @param off how far what is wound lies off the middle of what it is wound on, mm
 * @param isCentred whether its middle stays where it is on the carriers, and not its beginning
 */
export function rideOn(
  flat: Path,
  given: readonly Carrier[],
  row: readonly number[],
  off: number,
  isCentred = false,
): Path {
  const reach = flat.reduce((far, { x }) => Math.max(far, x), 0);
  const carriers = abreast(given, reach, off, isCentred ? reach / 2 : 0);
  let station: { readonly x: number; readonly is: Station } | undefined;
  const last = carriers.length - 1;
  return flat.map(({ x, y, z }) => {
    if (station?.x !== x) station = { x, is: stationAt(carriers, x) };
    const { points, across, front } = station.is;
    const beyondIt = row.findIndex((place) => place > y);
    const index = beyondIt < 0 ? Math.max(0, last - 1) : Math.max(0, Math.min(beyondIt, last) - 1);
    const next = Math.min(last, index + 1);
    const [here, there] = [row[index] as number, row[next] as number];
    const within = there === here ? 0 : Math.min(1, Math.max(0, (y - here) / (there - here)));
    const on = between3(points[index] as Vec3, points[next] as Vec3, within);
    const beyond = y - here - within * (there - here);
    return plus3(on, plus3(scaled3(across, beyond), scaled3(front, z)));
  });
}
