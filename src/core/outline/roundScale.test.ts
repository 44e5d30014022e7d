import fc from 'fast-check';
import { distance, onCircle, vec, type Vec } from '../geometry/vector';
import { expectOk } from '../result';
import { acrossRound } from './roundScale';

const place = fc.double({ min: -200, max: 200, noNaN: true });

it('three places on the rim of a coin say how far it is across, wherever on it they are', () => {
  fc.assert(
    fc.property(
      place,
      place,
      fc.double({ min: 2, max: 90, noNaN: true }),
      fc.double({ min: 0, max: 6, noNaN: true }),
      fc.double({ min: 0.9, max: 2.2, noNaN: true }),
      fc.double({ min: 0.9, max: 2.2, noNaN: true }),
      (x, y, radius, angle, on, further) => {
        const rim = [angle, angle + on, angle + on + further].map((each) =>
          onCircle(vec(x, y), radius, each),
        );
        const { from, to } = expectOk(acrossRound(rim as [Vec, Vec, Vec]));
        expect(distance(from, to)).toBeCloseTo(2 * radius, 6);
        expect((from.x + to.x) / 2).toBeCloseTo(x, 6);
        expect((from.y + to.y) / 2).toBeCloseTo(y, 6);
      },
    ),
  );
});

it('places in a line, or at one place, are refused', () => {
  for (const rim of [
    [vec(0, 0), vec(5, 5), vec(10, 10)],
    [vec(3, 3), vec(3, 3), vec(9, 3)],
    [vec(0, 0), vec(50, 1), vec(100, 0)],
  ] as [Vec, Vec, Vec][]) {
    const across = acrossRound(rim);
    expect(across.ok ? '' : across.error).toMatch(/nearly in a line/);
  }
});
