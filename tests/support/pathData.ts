/** The lines of SVG path data that is made of M, l and Z: their points, mm. */
export function linesOf(d: string): readonly (readonly (readonly [x: number, y: number])[])[] {
  return d
    .replaceAll('Z', '')
    .split('M')
    .filter((line) => line !== '')
    .map((line) => {
      const [begin = '', steps = ''] = line.split('l');
      const figures = [begin, steps].map((each) => (each.match(/-?(?:\d+\.?\d*|\.\d+)/g) ?? []).map(Number));
      if (figures[0]?.length !== 2 || (figures[1]?.length ?? 0) % 2 !== 0 || /[^-\d. ]/.test(begin + steps))
        throw new Error(`“${line.slice(0, 60)}” is no line`);
      let [x = NaN, y = NaN] = figures[0];
      const points: [number, number][] = [[x, y]];
      const further = figures[1] ?? [];
      for (let index = 0; index < further.length; index += 2) {
        [x, y] = [x + (further[index] ?? NaN), y + (further[index + 1] ?? NaN)];
        points.push([x, y]);
      }
      return points;
    });
}
