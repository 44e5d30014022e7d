import { insideOutline } from '../geometry/insideOutline';
import type { Path } from '../geometry/path';
import { distance, minus, plus, scaled, type Vec } from '../geometry/vector';
import { vec3 } from '../geometry/vec3';
import { pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { faceAt } from '../piece/body';
import type { Cab } from '../piece/piece';
import { expectOk } from '../result';

/** Places about a place at which a face is felt. */
const FELT = 12;
/** Points that the edge of a stone is felt by, about. */
const ROUND = 120;
/** Points to each rounded corner. */
const CORNER = 8;

/**
 * How high over the back of a stone something round lies on its face, as a ball of its radius would roll over it: by a place on the paper, mm. Beside
 * the stone it lies no deeper than it is told.
 * @param stone that lies in the paper, its length across it
 * @param radius of what lies on it, mm
 */
export const lyingOn = (stone: Cab, radius: number, least: number): ((at: Vec) => number) =>
  rolledOver(stone, radius, (inward) => faceAt(stone, inward), least);

/** How high something round lies that is laid flat behind a stone: as {@link lyingOn}, and no higher than it is told beside it. */
export function lyingBehind(stone: Cab, radius: number, most: number): (at: Vec) => number {
  const off = rolledOver(stone, radius, () => 0, -most);
  return (at) => -off(at);
}

/** How far off a surface the middle of a ball is that rolls over it, by a place on the paper, mm. @param surface by how far in from the edge */
function rolledOver(
  stone: Cab,
  radius: number,
  surface: (inward: number) => number,
  least: number,
): (at: Vec) => number {
  const outline = expectOk(outlineOf(stone.size));
  const edge = pointsOf(outline, Math.ceil(ROUND / outline.curves.length));
  return ({ x, y }) => {
    const inward = insideOutline(edge, x, y);
    return Array.from({ length: 2 * FELT + 1 }, (_, index) => ((index - FELT) / FELT) * radius).reduce(
      (high, off) =>
        inward + off < 0 ? high : Math.max(high, surface(inward + off) + Math.sqrt(radius ** 2 - off ** 2)),
      least,
    );
  };
}

/**
 * A line on the paper from corner to corner, its corners rounded.
 * @param round how far before a corner it begins to turn, at most, mm
 * @param step from one of its points to the next, at most, mm
 */
export function roundedLine(corners: readonly Vec[], round: number, step: number): readonly Vec[] {
  const [first, last] = [corners[0], corners.at(-1)];
  if (!first || !last) return [];
  const turned = corners.slice(1, -1).flatMap((corner, index): Vec[] => {
    const [before, after] = [corners[index] as Vec, corners[index + 2] as Vec];
    const cut = Math.min(round, distance(before, corner) / 2.05, distance(corner, after) / 2.05);
    if (cut <= 0) return [corner];
    const from = plus(corner, scaled(minus(before, corner), cut / distance(before, corner)));
    const to = plus(corner, scaled(minus(after, corner), cut / distance(corner, after)));
    return Array.from({ length: CORNER + 1 }, (_, index) => {
      const part = index / CORNER;
      const [a, b, c] = [(1 - part) ** 2, 2 * part * (1 - part), part ** 2];
      return plus(plus(scaled(from, a), scaled(corner, b)), scaled(to, c));
    });
  });
  const points = [first, ...turned, last];
  return points.slice(1).reduce<Vec[]>(
    (all, to, index) => {
      const from = points[index] as Vec;
      const steps = Math.max(2, Math.ceil(distance(from, to) / step));
      return [
        ...all,
        ...Array.from({ length: steps }, (_, at) => plus(from, scaled(minus(to, from), (at + 1) / steps))),
      ];
    },
    [first],
  );
}

/** A line on the paper, laid over a face. */
export const laidOn = (line: readonly Vec[], heightAt: (at: Vec) => number): Path =>
  line.map((at) => vec3(at.x, at.y, heightAt(at)));
