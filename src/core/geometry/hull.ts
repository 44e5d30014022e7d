import { cross, minus, type Vec } from './vector';

/** Points nearer than this to a straight side are on it, mm². */
const STRAIGHT = 1e-9;

/** The points of some that stand outermost, each once, in the sense in which x turns to y (the monotone chain: Andrew, 1979). */
export function hullOf<Point extends Vec>(points: readonly Point[]): readonly Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (row: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const point of row) {
      for (;;) {
        const [before, last] = [chain.at(-2), chain.at(-1)];
        if (!before || !last || cross(minus(last, before), minus(point, last)) > STRAIGHT) break;
        chain.pop();
      }
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  const hull = [...half(sorted), ...half([...sorted].reverse())];
  return hull.length > 0 ? hull : sorted.slice(0, 1);
}
