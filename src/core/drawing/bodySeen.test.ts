import fc from 'fast-check';
import { hullOf } from '../geometry/hull';
import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import { surfaceOf, type PlacedBody } from '../piece/body';
import { bodySeen } from './bodySeen';
import { saidFrom, seenFrom, viewsOf, VIEWS, type Seen } from './view';

const boxOf = (points: readonly Pick<Seen, 'x' | 'y'>[]) => ({
  left: Math.min(...points.map(({ x }) => x)),
  right: Math.max(...points.map(({ x }) => x)),
  up: Math.min(...points.map(({ y }) => y)),
  down: Math.max(...points.map(({ y }) => y)),
});

it('a bead is seen as far as its surface reaches, however it lies, and as near', () => {
  const way = fc.double({ min: -1, max: 1, noNaN: true });
  fc.assert(
    fc.property(
      fc.tuple(way, way, way).filter((each) => Math.hypot(...each) > 0.1),
      fc.double({ min: 1, max: 12, noNaN: true }),
      fc.double({ min: 1, max: 12, noNaN: true }),
      fc.constantFrom(...VIEWS),
      ([x, y, z], length, width, view) => {
        const bead: PlacedBody = {
          kind: 'bead',
          id: 'bead',
          length,
          width,
          hole: 1,
          pose: pose(vec3(3, -5, 2), vec3(x, y, z)),
        };
        const seen = bodySeen(bead, view);
        const surface = seenFrom(view, surfaceOf(bead));
        const [drawn, really] = [boxOf(seen.points), boxOf(hullOf(surface))];
        // Both are made of points: they differ by what an arc stands over its chord.
        for (const side of ['left', 'right', 'up', 'down'] as const)
          expect(Math.abs(drawn[side] - really[side])).toBeLessThan(0.012 * Math.max(length, width));
        const nears = surface.map(({ near }) => near);
        const [far, near] = [Math.min(...nears), Math.max(...nears)];
        expect(Math.abs(seen.near - (far + 0.6 * (near - far)))).toBeLessThan(
          0.012 * Math.max(length, width),
        );
      },
    ),
    // Looked at all but along its hole.
    { examples: [[[-0.1, -1.571727784702629e-163, 0], 4, 7, 'side']] },
  );
});

it('a ring is seen from above, its head over its band, and nothing else is; every view is said', () => {
  expect(viewsOf(false)).toEqual(['front', 'back', 'side']);
  expect(viewsOf(true)).toEqual(['front', 'back', 'side', 'above']);
  expect(VIEWS.map(saidFrom)).toEqual(['from the front', 'from the back', 'from the side', 'from above']);
  // Up is away from the finger: what stands higher is nearer, and its front lies below.
  const [high, front] = seenFrom('above', [vec3(2, -9, 0), vec3(2, -7, 3)]) as [Seen, Seen];
  expect(high.near).toBeGreaterThan(front.near);
  expect(front.y - high.y).toBeCloseTo(3, 9);
  expect(front.x).toBeCloseTo(2, 9);
});
