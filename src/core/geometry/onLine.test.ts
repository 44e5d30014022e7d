import fc from 'fast-check';
import { atPart, atParts, nearestOn } from './onLine';
import { lengthOfPath, type Path } from './path';
import { distance3, vec3 } from './vec3';

/** Two sides of a right angle, 3 and 4 mm long. */
const ANGLE: Path = [vec3(0, 0), vec3(3, 0), vec3(3, 4)];

it('is told how far along the nearest place is, and how far off', () => {
  expect(nearestOn(ANGLE, vec3(1.5, -2, 0))).toEqual({
    at: vec3(1.5, 0),
    part: 1.5 / 7,
    far: 2,
    from: 0,
    on: 0.5,
  });
  expect(nearestOn(ANGLE, vec3(5, 2, 1))).toEqual({
    at: vec3(3, 2),
    part: 5 / 7,
    far: Math.sqrt(5),
    from: 1,
    on: 0.5,
  });
  expect(nearestOn([vec3(1, 1)], vec3(1, 4))).toEqual({ at: vec3(1, 1), part: 0, far: 3, from: 0, on: 0 });
});

it('what is so far along a line is nearest to itself, and nothing on the line is nearer to a point than what is found', () => {
  const place = fc.tuple(...([0, 1, 2] as const).map(() => fc.double({ min: -50, max: 50, noNaN: true })));
  const spot = place.map(([x = 0, y = 0, z = 0]) => vec3(x, y, z));
  fc.assert(
    fc.property(
      fc.array(spot, { minLength: 2, maxLength: 12 }),
      spot,
      fc.double({ min: 0, max: 1, noNaN: true }),
      (path, to, part) => {
        expect(nearestOn(path, atPart(path, part)).far).toBeLessThan(1e-6);
        const { at, far, part: along } = nearestOn(path, to);
        for (const each of atParts(path, 16)) expect(distance3(each, to)).toBeGreaterThan(far - 1e-6);
        expect(distance3(at, to)).toBeCloseTo(far, 9);
        if (lengthOfPath(path) > 1e-6) expect(distance3(atPart(path, along), at)).toBeLessThan(1e-5);
      },
    ),
  );
});
