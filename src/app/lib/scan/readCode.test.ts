import bwipjs from 'bwip-js/node';
import { readCode, Seen, type Pixels } from './readCode';

/** The code of a text, drawn so many points for a square, on a sheet of grey. */
function drawn(text: string, scale: number, paper = 230): Pixels {
  const [code] = bwipjs.raw({ bcid: 'qrcode', text });
  if (!code || !('pixs' in code)) throw new Error('it has a code');
  const { pixs, pixx: side } = code;
  const width = side * scale + 160;
  const height = side * scale + 100;
  const data = new Uint8ClampedArray(width * height * 4).fill(paper);
  for (let y = 0; y < side * scale; y += 1)
    for (let x = 0; x < side * scale; x += 1)
      if (pixs[Math.floor(y / scale) * side + Math.floor(x / scale)] === 1)
        data.fill(25, ((y + 50) * width + x + 80) * 4, ((y + 50) * width + x + 80) * 4 + 3);
  return { data, width, height };
}

describe('a code before the camera', () => {
  // The codes are made by a library of its own; their marks are those of ISO/IEC 18004.
  it.each(['F-0042', 'W-0318', 'F-12345678'])('says %s', (text) => {
    expect(readCode(drawn(text, 6))).toBe(text);
    expect(readCode(drawn(text, 3))).toBe(text);
  });

  it('is nothing where there is none', () => {
    expect(readCode({ data: new Uint8ClampedArray(200 * 200 * 4).fill(200), width: 200, height: 200 })).toBe(
      undefined,
    );
  });

  it('is told once while it is held there, and again when it comes back', () => {
    const seen = new Seen();
    expect([seen.look('F-0001'), seen.look('F-0001'), seen.look(undefined), seen.look('F-0001')]).toEqual([
      'F-0001',
      undefined,
      undefined,
      undefined,
    ]);
    expect(seen.look('F-0002')).toBe('F-0002');
    for (let look = 0; look < 5; look += 1) seen.look(undefined);
    expect(seen.look('F-0002')).toBe('F-0002');
  });
});
