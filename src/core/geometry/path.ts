import { perimeterOf, type Outline } from '../outline/outline';

/** A point in space, mm: x to the right and y down as on the paper, z towards the eye. */
export interface Vec3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The centre line of a wire as it is drawn: points close enough together to measure it by. */
export type Path = readonly Vec3[];

/** Length of a path as it is drawn, mm. */
export function lengthOfPath(path: Path): number {
  let sum = 0;
  let before = path[0];
  if (!before) return 0;
  for (const point of path) {
    const x = point.x - before.x;
    const y = point.y - before.y;
    const z = point.z - before.z;
    sum += Math.sqrt(x * x + y * y + z * z);
    before = point;
  }
  return sum;
}

/** Points to each turn of a wrap, about: their chords are short of an arc by under 0.3 %, and corners are never cut. */
const POINTS_A_TURN = 48;
const LEAST_POINTS = 6;

/**
 * Turns of a wire round a section, such as that of some frame wires side by side: the section lies in y and z, the turns move on
 * along x.
 *
 * @param section the way once round, as the centre of the wire runs
 * @param turns how often, parts of a turn too
 * @param pitch mm along the frame for each turn
 * @param from x of the start
 */
export function turnsRound(section: Outline, turns: number, pitch: number, from = 0): Path {
  const ring = onceRound(section);
  const path: Vec3[] = [];
  for (let turn = 0; turn < turns; turn += 1) {
    for (const { part, y, z } of ring) {
      if (turn + part > turns) return path;
      path.push({ x: from + (turn + part) * pitch, y, z });
    }
  }
  const [first] = ring;
  if (first && Number.isInteger(turns)) path.push({ x: from + turns * pitch, y: first.y, z: first.z });
  return path;
}

/** Points of a section, with how much of the way round lies behind each. */
function onceRound(section: Outline): { part: number; y: number; z: number }[] {
  const whole = perimeterOf(section);
  let before = 0;
  return section.curves.flatMap((curve) => {
    const count = Math.max(LEAST_POINTS, Math.round((POINTS_A_TURN * curve.length) / whole));
    const start = before;
    before += curve.length;
    return Array.from({ length: count }, (_, index) => {
      const { x, y } = curve.at(index / count);
      return { part: (start + (curve.length * index) / count) / whole, y: x, z: y };
    });
  });
}
