import fc from 'fast-check';
import { outlineOf } from '../stone/outlineOf';
import { onCircle, vec } from './vector';
import { selfCrossing } from './selfCrossing';

const BOW = [vec(-5, -5), vec(5, 5), vec(5, -5), vec(-5, 5)];

it('a bow crosses itself, and is no edge of a stone', () => {
  expect(selfCrossing(BOW)).toEqual([0, 2]);
  const outline = outlineOf({ outline: 'freeform', length: 10, width: 10, points: BOW });
  expect(outline).toEqual({
    ok: false,
    error: 'The trace crosses itself after points 1 and 3; go round the stone once.',
  });
});

it('a star round its middle never does, however its points lie', () => {
  const radii = fc.array(fc.double({ min: 1, max: 20, noNaN: true }), { minLength: 3, maxLength: 40 });
  fc.assert(
    fc.property(radii, (lengths) => {
      const points = lengths.map((radius, index) =>
        onCircle(vec(0, 0), radius, (2 * Math.PI * index) / lengths.length),
      );
      expect(selfCrossing(points)).toBeUndefined();
    }),
  );
});

it('a star does once two neighbours of it change places across its middle', () => {
  const points = Array.from({ length: 12 }, (_, index) => onCircle(vec(0, 0), 10, (Math.PI * index) / 6));
  const swapped = points.map((point, index) =>
    index === 2 ? (points[8] ?? point) : index === 8 ? (points[2] ?? point) : point,
  );
  expect(selfCrossing(swapped)).toBeDefined();
});
