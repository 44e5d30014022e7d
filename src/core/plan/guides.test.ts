import fc from 'fast-check';
import { vec3 } from '../geometry/vec3';
import { vec } from '../geometry/vector';
import { pieceOf } from '../../../tests/support/acts';
import { drawnTo, guidesOf, type Guide } from './guides';
import { roundWire } from '../parameter/parameter';
import type { StoneSize } from '../stone/stoneSize';

const ROUND: Guide = {
  said: 'at the edge of the stone',
  line: Array.from({ length: 721 }, (_, index) =>
    vec3(10 * Math.cos((Math.PI * index) / 360), 10 * Math.sin((Math.PI * index) / 360)),
  ),
  off: 0.4,
};
const UPRIGHT: Guide = { said: 'beside a wire', line: [vec3(5, -20), vec3(5, 20)], off: 0.9 };
const OPPOSITE: Guide = { said: 'opposite a wire', line: [vec3(-5, -20), vec3(-5, 20)], off: 0 };

describe('a point of a line', () => {
  it('is drawn to lie against the edge of a round stone: half a thickness outside of its radius (plane geometry)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: -0.35, max: 0.9, noNaN: true }),
        (angle, off) => {
          const far = 10.4 + off;
          const drawn = drawnTo(vec(far * Math.cos(angle), far * Math.sin(angle)), [ROUND], 1);
          expect(Math.hypot(drawn?.at.x ?? NaN, drawn?.at.y ?? NaN)).toBeCloseTo(10.4, 3);
          expect(Math.atan2(drawn?.at.y ?? NaN, drawn?.at.x ?? NaN)).toBeCloseTo(
            Math.atan2(Math.sin(angle), Math.cos(angle)),
            2,
          );
        },
      ),
    );
  });

  it('is drawn beside a wire on the side that it is on, and onto the line of the other side', () => {
    expect(drawnTo(vec(6.2, 3), [UPRIGHT], 1)).toEqual({ at: vec(5.9, 3), said: 'beside a wire' });
    expect(drawnTo(vec(4.4, 3), [UPRIGHT], 1)).toEqual({ at: vec(4.1, 3), said: 'beside a wire' });
    expect(drawnTo(vec(-4.6, 3), [UPRIGHT, OPPOSITE], 1)).toEqual({
      at: vec(-5, 3),
      said: 'opposite a wire',
    });
  });

  it('is drawn to the nearest, and stays where it is when nothing is near', () => {
    const beside = { ...UPRIGHT, said: 'nearer', line: [vec3(6.9, -20), vec3(6.9, 20)] };
    expect(drawnTo(vec(6.1, 0), [UPRIGHT, beside], 1)?.said).toBe('nearer');
    expect(drawnTo(vec(8, 3), [UPRIGHT], 1)).toBeUndefined();
    expect(drawnTo(vec(0, 0), [], 1)).toBeUndefined();
  });
});

it('what it is led along are the stone, the wires and their other side, without the line itself', () => {
  const stone: StoneSize = { outline: 'round', length: 20, width: 20, edge: 3, depth: 5 };
  const piece = pieceOf([
    ['frame', 'bundle-frame', { stone, wire: roundWire(0.8), bound: 0, bail: 3, holds: 2, tail: 40 }],
    ['line', 'free-line', { second: 'alike' }, { ends: ['frame.left 1'] }],
  ]);
  const guides = guidesOf(
    piece.run,
    ({ course }) => course !== undefined && piece.by.get(course) === 'line',
    0.8,
    0,
  );
  const said = new Set(guides.map((guide) => guide.said));
  expect(said).toContain('at the edge of the stone');
  expect([...said].filter((each) => each.startsWith('beside ')).length).toBeGreaterThan(1);
  const edge = guides.find((guide) => guide.said === 'at the edge of the stone');
  for (const { x, y } of edge?.line ?? [])
    expect(Math.hypot(x - (edge?.line[0]?.x ?? 0), y)).toBeLessThan(41);
  // Every wire is there twice, once as it lies on the other side.
  for (const { line, said: beside } of guides.filter((guide) => guide.said.startsWith('beside '))) {
    const opposite = guides.filter((guide) => guide.said === beside.replace('beside', 'opposite'));
    expect(
      opposite.some((guide) =>
        guide.line.every(({ x, y }, index) => x === -(line[index]?.x ?? NaN) && y === line[index]?.y),
      ),
    ).toBe(true);
  }
  const own = piece.run.wires
    .flatMap(({ first, second }) => [...first, ...second])
    .find(({ course }) => course && piece.by.get(course) === 'line');
  expect(own).toBeDefined();
  expect(
    guides.some(
      ({ line }) =>
        line.length === own?.path.length && line[1]?.x === own.path[1]?.x && line[1]?.y === own.path[1]?.y,
    ),
  ).toBe(false);
});
