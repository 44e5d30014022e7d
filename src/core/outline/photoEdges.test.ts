import fc from 'fast-check';
import sharp from 'sharp';
import { distance, vec } from '../geometry/vector';
import { edgeNear, greyOf, type GreyPhoto } from './photoEdges';

/** A stone that is drawn and put into dots by a library (librsvg through sharp): an ellipse on a cloth, softened as a lens does. */
async function photographed(stone: string, cloth: string): Promise<GreyPhoto> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="200" height="160"><rect width="200" height="160" fill="${cloth}"/><ellipse cx="100" cy="80" rx="60" ry="40" fill="${stone}"/></svg>`;
  const { data, info } = await sharp(Buffer.from(svg))
    .blur(1)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return greyOf(info.width, info.height, new Uint8ClampedArray(data));
}

/** How far a place is off the edge of that stone, pixels: along the ray from its middle. */
function offEdge({ x, y }: { x: number; y: number }): number {
  const scale = Math.hypot((x - 100) / 60, (y - 80) / 40);
  return Math.abs(1 - 1 / scale) * distance(vec(x, y), vec(100, 80));
}

it.each([
  ['a dark stone on a light cloth', '#3a4a6b', '#e8e4da'],
  ['a light stone on a dark cloth', '#d9c7b2', '#2a2a2e'],
  ['a stone that is little darker than its cloth', '#8f8f86', '#bdb9ae'],
])('a point that is set near the edge of %s comes to lie on it', async (_, stone, cloth) => {
  const photo = await photographed(stone, cloth);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
      fc.double({ min: -5, max: 5, noNaN: true }),
      (angle, off) => {
        const on = vec(100 + (60 + off) * Math.cos(angle), 80 + (40 + off) * Math.sin(angle));
        expect(offEdge(edgeNear(photo, on, 8))).toBeLessThan(1.2);
      },
    ),
    { numRuns: 300 },
  );
});

it('a point far from every edge stays where it was set, and so does one outside of the photograph', async () => {
  const photo = await photographed('#3a4a6b', '#e8e4da');
  for (const point of [vec(100, 80), vec(15.25, 20), vec(-40, 80), vec(100, 500)])
    expect(edgeNear(photo, point, 8)).toEqual(point);
});

it('shades are those of ITU-R BT.601', () => {
  const { shades } = greyOf(
    4,
    1,
    new Uint8ClampedArray([255, 255, 255, 255, 255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255]),
  );
  expect([...shades]).toEqual([255, 76, 150, 29]);
});
