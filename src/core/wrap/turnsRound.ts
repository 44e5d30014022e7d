import type { Path, Vec3 } from '../geometry/path';
import { perimeterOf, type Outline } from '../outline/outline';

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
