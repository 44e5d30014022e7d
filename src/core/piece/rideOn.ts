import type { Path, Vec3 } from '../geometry/path';
import { sideOf, type Pose } from '../geometry/pose';
import { between3, cross3, dot3, minus3, norm3, plus3, scaled3, straightened } from '../geometry/vec3';

/** A carrier of something wound: its pose a way along it, in the sense in which the winding goes on. */
export type Carrier = (x: number) => Pose;

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

/** How close together places are by which wires of a row are compared, mm. */
const APART = 0.5;

/** How far each wire of a row has come where one of them has come so far: they stand beside one another, square across. */
type Abreast = readonly { readonly x: number; readonly on: readonly number[] }[];

function abreastOf(carriers: readonly Carrier[], leader: number, reach: number): Abreast {
  const lead = carriers[leader] as Carrier;
  const on = carriers.map(() => 0);
  const steps = Math.max(1, Math.ceil(reach / APART));
  return Array.from({ length: steps + 1 }, (_, step) => {
    const x = (reach * step) / steps;
    const { at, along } = lead(x);
    for (const [index, carrier] of carriers.entries()) {
      const before = on[index] as number;
      const guess = step === 0 || index === leader ? x : before + reach / steps;
      const off = index === leader ? 0 : dot3(minus3(at, carrier(guess).at), along);
      // A wire that turns away is not followed: beside its neighbour it comes as far as that within a step.
      on[index] = guess + Math.max(-APART / 2, Math.min(APART / 2, off));
    }
    return { x, on: [...on] };
  });
}

/** Carriers that stand abreast of one another wherever they are bent: the one inside of the bends goes as it went flat, the others farther. */
function abreast(carriers: readonly Carrier[], reach: number): readonly Carrier[] {
  if (carriers.length < 2 || reach <= 0) return carriers;
  const byFirst = abreastOf(carriers, 0, reach).at(-1)?.on ?? [];
  const inner = byFirst.indexOf(Math.min(...byFirst));
  const table = abreastOf(carriers, inner, reach);
  return carriers.map((carrier, index) => (x) => {
    const place = Math.min(table.length - 1, Math.max(1, Math.ceil((x / reach) * (table.length - 1))));
    const [from, to] = [table[place - 1], table[place]] as [Abreast[number], Abreast[number]];
    const part = (x - from.x) / (to.x - from.x);
    const [here, there] = [from.on[index] as number, to.on[index] as number];
    return carrier(here + (there - here) * part);
  });
}

/**
 * A winding that was laid flat (frame wires along x, A at y = 0 and the others a step apart, z to the eye), on its carriers as they really
 * run: it rides on stretches of those wires, and bends with them.
 * @param given the carriers, A first
 * @param step between neighbouring carriers in the flat
 */
export function rideOn(flat: Path, given: readonly Carrier[], step: number): Path {
  const carriers = abreast(given, Math.max(0, ...flat.map(({ x }) => x)));
  let station: { readonly x: number; readonly is: Station } | undefined;
  const last = carriers.length - 1;
  return flat.map(({ x, y, z }) => {
    if (station?.x !== x) station = { x, is: stationAt(carriers, x) };
    const { points, across, front } = station.is;
    const index = last === 0 ? 0 : Math.min(last - 1, Math.max(0, Math.floor(y / step)));
    const within = Math.min(1, Math.max(0, last === 0 ? 0 : y / step - index));
    const on = between3(points[index] as Vec3, points[Math.min(last, index + 1)] as Vec3, within);
    const beyond = y - (index + within) * step;
    return plus3(on, plus3(scaled3(across, beyond), scaled3(front, z)));
  });
}
