import fc from 'fast-check';
import { pose } from '../geometry/pose';
import { distance3, vec3 } from '../geometry/vec3';
import { nearestOn, whereNearest, type Reach } from './nearest';

/** A straight wire through a point, its places counted from there. */
const straight = (
  at: ReturnType<typeof vec3>,
  along: ReturnType<typeof vec3>,
  from: number,
  reach: number,
): Reach => {
  const begin = pose(at, along);
  const { x, y, z } = begin.along;
  return {
    poseOn: (mm) => pose(vec3(at.x + mm * x, at.y + mm * y, at.z + mm * z), along),
    from,
    reach,
  };
};

it('the place of a straight wire nearest to a point is the foot of the perpendicular, or the end that is nearer', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -30, max: 30, noNaN: true }),
      fc.double({ min: 0.5, max: 9, noNaN: true }),
      (on, off) => {
        const wire = straight(vec3(0, 0), vec3(1, 0), 10, -20);
        expect(nearestOn(wire, vec3(on, off))).toBeCloseTo(Math.max(-10.2, Math.min(10.2, on)), 0);
        if (Math.abs(on) < 10) expect(nearestOn(wire, vec3(on, off))).toBeCloseTo(on, 1);
      },
    ),
    { seed: 11 },
  );
});

it('two wires that pass one another askew are nearest where the common perpendicular stands on them', () => {
  // Along x at height 0, and along y at height 3 through x = 4: perpendicular between (4, 0, 0) and (4, 0, 3).
  const [lower, upper] = [
    straight(vec3(0, 0), vec3(1, 0), -8, 20),
    straight(vec3(4, 0, 3), vec3(0, 1), -9, 15),
  ];
  expect(distance3(whereNearest(lower, upper).at, vec3(4, 0))).toBeLessThan(0.11);
  expect(distance3(whereNearest(upper, lower).at, vec3(4, 0, 3))).toBeLessThan(0.11);
});

it('a stretch that does not reach so far is nearest at its end', () => {
  const [short, other] = [
    straight(vec3(0, 0), vec3(1, 0), 0, 2),
    straight(vec3(4, 0, 3), vec3(0, 1), -9, 15),
  ];
  expect(whereNearest(short, other).at.x).toBeCloseTo(2, 6);
});
