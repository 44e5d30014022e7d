import type { Vec } from '../geometry/vector';

/** A photograph as shades of grey, row by row: 0 is black, 255 is white. */
export interface GreyPhoto {
  readonly wide: number;
  readonly high: number;
  readonly shades: Uint8ClampedArray;
}

/** How luminous red, green and blue are (ITU-R BT.601). */
const LUMA = [0.299, 0.587, 0.114] as const;

/** Shades of a picture that is told as red, green, blue and how opaque, a byte each. */
export function greyOf(wide: number, high: number, pixels: Uint8ClampedArray): GreyPhoto {
  const shades = new Uint8ClampedArray(wide * high);
  for (let at = 0; at < shades.length; at += 1)
    shades[at] = LUMA.reduce((sum, part, of) => sum + part * (pixels[4 * at + of] ?? 0), 0);
  return { wide, high, shades };
}

/** How steeply shades change at a pixel (Sobel’s operator, 1968); nothing at the rim of the photograph. */
function steepness({ wide, high, shades }: GreyPhoto, x: number, y: number): number {
  if (x < 1 || y < 1 || x >= wide - 1 || y >= high - 1) return 0;
  const at = (dx: number, dy: number) => shades[(y + dy) * wide + x + dx] ?? 0;
  const across = at(1, -1) + 2 * at(1, 0) + at(1, 1) - at(-1, -1) - 2 * at(-1, 0) - at(-1, 1);
  const down = at(-1, 1) + 2 * at(0, 1) + at(1, 1) - at(-1, -1) - 2 * at(0, -1) - at(1, -1);
  return Math.hypot(across, down);
}

/** Less steep than this is no edge: grain and soft shadow. */
const EDGE = 60;
/** At the end of its reach an edge draws a point with so much less than one that lies under it. */
const FAR = 0.6;

/**
 * The edge near a point of a photograph: where shades change most, nearer edges before farther ones; the point itself where there is none.
 * @param point in pixels, the middle of the upper left one at 0.5, 0.5
 * @param reach how far it is looked for, pixels
 */
export function edgeNear(photo: GreyPhoto, point: Vec, reach: number): Vec {
  const [middleX, middleY] = [Math.floor(point.x), Math.floor(point.y)];
  const far = Math.ceil(reach);
  let best = EDGE;
  let found: Vec | undefined;
  for (let y = middleY - far; y <= middleY + far; y += 1)
    for (let x = middleX - far; x <= middleX + far; x += 1) {
      const off = Math.hypot(x + 0.5 - point.x, y + 0.5 - point.y) / reach;
      if (off > 1) continue;
      const drawn = steepness(photo, x, y) * (1 - FAR * off);
      if (drawn > best) [best, found] = [drawn, { x: x + 0.5, y: y + 0.5 }];
    }
  return found ?? point;
}
