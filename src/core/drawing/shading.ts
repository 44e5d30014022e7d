import type { Look } from './look';

/** How many points across a picture of a shaded ball is. */
export const BALL = 64;

const clamped = (value: number): number => Math.min(1, Math.max(0, value));

const smooth = (from: number, to: number, value: number): number => {
  const part = clamped((value - from) / (to - from));
  return part * part * (3 - 2 * part);
};

/** How bright the room is that a polished surface mirrors, by which way it looks there: windows above, a dark edge, a light table below. */
function roomAt(right: number, up: number): number {
  const sky = 0.35 + 0.65 * smooth(0, 0.55, up);
  const table = 0.42 + 0.25 * smooth(0.2, 1, -up);
  const edge = smooth(-0.12, 0.1, up);
  const window = smooth(0.55, 0.75, up) * smooth(0.9, 0.5, Math.abs(right + 0.25));
  return (1 - edge) * table * smooth(-0.05, -0.4, up) + edge * sky + 0.55 * window;
}

/**
 * How a ball of a colour looks, lit from above and the left: what a surface shows is found by the way that it faces, so that a piece is shaded without
 * reckoning with lamps. Metal mirrors its room in its own colour; a stone is lit softly and has one bright spot.
 * @returns rows from below to above, each point as red, green, blue (sRGB, 0 to 255) and 255
 */
export function shadedBall({ colour, isMetal }: Look): Uint8Array<ArrayBuffer> {
  const own = [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16) / 255);
  const pixels = new Uint8Array(BALL * BALL * 4);
  for (let row = 0; row < BALL; row += 1)
    for (let column = 0; column < BALL; column += 1) {
      const [x, y] = [(2 * (column + 0.5)) / BALL - 1, (2 * (row + 0.5)) / BALL - 1];
      const out = Math.hypot(x, y);
      const [nx, ny] = out > 1 ? [x / out, y / out] : [x, y];
      const nz = Math.sqrt(Math.max(0, 1 - nx * nx - ny * ny));
      // The eye’s way, mirrored: r = 2 (n·e) n − e with e towards the eye.
      const [rx, ry, rz] = [2 * nz * nx, 2 * nz * ny, 2 * nz * nz - 1];
      const shine =
        clamped((-0.4 * rx + 0.6 * ry + 0.7 * rz) / Math.hypot(0.4, 0.6, 0.7)) ** (isMetal ? 30 : 60);
      const lit = isMetal
        ? 0.3 + 0.85 * roomAt(rx, ry)
        : 0.5 + 0.5 * clamped((-0.4 * nx + 0.6 * ny + 0.7 * nz) / Math.hypot(0.4, 0.6, 0.7));
      const at = 4 * (row * BALL + column);
      for (const [part, value] of own.entries())
        pixels[at + part] = Math.round(255 * clamped(value * lit + (isMetal ? 0.35 : 0.6) * shine));
      pixels[at + 3] = 255;
    }
  return pixels;
}
