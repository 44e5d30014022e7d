import { BALL, shadedBall } from './shading';

/** How bright a place of a ball is, 0 to 255; x and y from −1 to 1, up and to the right. */
const brightAt = (pixels: Uint8Array, x: number, y: number): number => {
  const [column, row] = [x, y].map((each) => Math.min(BALL - 1, Math.floor(((each + 1) / 2) * BALL))) as [
    number,
    number,
  ];
  const at = 4 * (row * BALL + column);
  return ((pixels[at] ?? 0) + (pixels[at + 1] ?? 0) + (pixels[at + 2] ?? 0)) / 3;
};

describe('a shaded ball', () => {
  const metal = shadedBall({ colour: '#c0693f', isMetal: true });
  const stone = shadedBall({ colour: '#9fb4ae', isMetal: false });

  it.each([
    ['metal', metal],
    ['stone', stone],
  ])('of %s is brighter above than below, and nothing shines through', (_, ball) => {
    expect(ball).toHaveLength(4 * BALL * BALL);
    expect(brightAt(ball, -0.2, 0.4)).toBeGreaterThan(brightAt(ball, 0.2, -0.4));
    expect(ball.filter((_part, index) => index % 4 === 3).every((part) => part === 255)).toBe(true);
  });

  it('of metal mirrors a bright room over a dark edge; of stone it darkens evenly', () => {
    const down = (ball: Uint8Array) => [0.5, 0.25, -0.03, -0.6].map((y) => brightAt(ball, 0.3, y));
    const [, middle, edge, below] = down(metal) as [number, number, number, number];
    expect(edge).toBeLessThan(middle);
    expect(below).toBeGreaterThan(edge);
    const matt = down(stone);
    expect(matt).toEqual([...matt].sort((a, b) => b - a));
  });

  it('keeps the colour of its metal where nothing shines', () => {
    const at = 4 * (Math.floor(0.35 * BALL) * BALL + Math.floor(0.7 * BALL));
    const [red = 0, green = 0, blue = 0] = metal.slice(at, at + 3);
    expect(red / green).toBeCloseTo(0xc0 / 0x69, 1);
    expect(green / blue).toBeCloseTo(0x69 / 0x3f, 1);
  });
});
