import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import { hangingFrom, massOfBody, massOfWire, QUARTZ, together } from './balance';

const flat = pose(vec3(0, 0), vec3(1, 0));

describe('what is heavy', () => {
  it('a bead without a hole is an ellipsoid: 4/3 π a b c', () => {
    const { grams, at } = massOfBody({ kind: 'bead', id: 'b', width: 6, length: 10, hole: 0, pose: flat });
    expect(grams).toBeCloseTo(((4 / 3) * Math.PI * 3 * 3 * 5 * QUARTZ) / 1000, 6);
    expect(at).toEqual(vec3(0, 0));
  });

  it('a hole takes a cylinder out of a ball, with its caps: π h³/6 is left of it (the napkin ring)', () => {
    const h = Math.sqrt(8 ** 2 - 2 ** 2);
    const { grams } = massOfBody({ kind: 'bead', id: 'b', width: 8, length: 8, hole: 2, pose: flat });
    expect((grams * 1000) / QUARTZ).toBeCloseTo((Math.PI * h ** 3) / 6, 1);
  });

  it('a round cab is a cylinder with half an ellipsoid on it, and its middle is theirs', () => {
    const size = { outline: 'round', length: 20, width: 20, depth: 7, edge: 2 } as const;
    const { grams, at } = massOfBody({ kind: 'cab', id: 's', size, pose: flat });
    const [below, above] = [Math.PI * 100 * 2, (2 / 3) * Math.PI * 100 * 5];
    expect(grams).toBeCloseTo(((below + above) * QUARTZ) / 1000, 6);
    // Half an ellipsoid has its middle ⅜ of its height up.
    expect(at.z).toBeCloseTo((below * 1 + above * (2 + (3 / 8) * 5)) / (below + above), 6);
  });

  it('a point that tapers at one end only is a cone there: ⅓ of a cylinder, its middle ¾ of the way to its foot', () => {
    const { grams, at } = massOfBody({
      kind: 'point',
      id: 'p',
      length: 12,
      width: 6,
      tapers: [12 - 1e-9, 1e-9],
      pose: flat,
    });
    expect(grams).toBeCloseTo((Math.PI * 9 * 12 * QUARTZ) / 3 / 1000, 4);
    expect(at.x).toBeCloseTo(9, 4);
  });

  it('a wire is as heavy as it is long, its middle half way', () => {
    const path = [vec3(0, 0), vec3(10, 0), vec3(10, 10)];
    expect(massOfWire({ path }, 4.6)).toEqual({
      grams: expect.closeTo(0.092, 9),
      at: { x: expect.closeTo(7.5, 9), y: expect.closeTo(2.5, 9), z: 0 },
    });
  });

  it('nothing has no middle', () => {
    expect(() => together([])).toThrow(RangeError);
  });
});

describe('how something hangs', () => {
  it('turns until its middle is straight below', () => {
    expect(hangingFrom(vec3(0, 0), vec3(0, 10))).toEqual({ front: 0, side: -0 });
    // As far aside as below: an eighth of a turn, clockwise when it lies to the right.
    expect(hangingFrom(vec3(0, 0), vec3(10, 10)).front).toBeCloseTo(45, 9);
    expect(hangingFrom(vec3(0, 0), vec3(-10, 10)).front).toBeCloseTo(-45, 9);
    expect(hangingFrom(vec3(0, 0, 2), vec3(0, 10, 2 + 10)).side).toBeCloseTo(-45, 9);
  });
});
