import { minus, plus, scaled, type Vec } from '../geometry/vector';

/** How far every point moves towards the middle of its neighbours, and then away from it: a little farther, so that nothing shrinks. */
const [IN, OUT] = [0.33, -0.34];
const TIMES = 4;

/**
 * A closed line without the tremble of the hand: what is wide stays as it is, what is narrower than a few points goes. Source: Taubin, “Curve and
 * surface smoothing without shrinkage”, 1995.
 */
export function smoothed(points: readonly Vec[]): readonly Vec[] {
  if (points.length < 5) return points;
  const moved = (line: readonly Vec[], by: number): readonly Vec[] =>
    line.map((point, index) => {
      const [before, after] = [line.at(index - 1) ?? point, line[(index + 1) % line.length] ?? point];
      return plus(point, scaled(minus(scaled(plus(before, after), 0.5), point), by));
    });
  return Array.from({ length: TIMES }).reduce<readonly Vec[]>((line) => moved(moved(line, IN), OUT), points);
}
