import { WEAVE_EXAMPLES } from './examples';
import { parseWeave, printWeave, wiresOf } from './notation';

const read = (text: string) => {
  const weave = parseWeave(text);
  if (!weave.ok) throw new Error(weave.error.message);
  return weave.value;
};

describe('the examples of how weaves are written', () => {
  it.each(WEAVE_EXAMPLES.map(({ text }) => [text]))('“%s” can be typed as it stands', (text) => {
    expect(read(printWeave(read(text)))).toEqual(read(text));
  });

  it('show every sign that there is', () => {
    const all = WEAVE_EXAMPLES.map(({ text }) => text).join(' ');
    for (const sign of ['~', '/', '(', ';']) expect(all).toContain(sign);
  });

  // What they mean, counted by hand.
  it('mean what is said of them', () => {
    const wraps = (text: string) =>
      read(text).repeat.reduce((sum, group) => sum + (group.kind === 'pass' ? 0 : group.wraps), 0);
    expect(
      WEAVE_EXAMPLES.map(({ text }) => [wraps(text), wiresOf(read(text)), read(text).close.length]),
    ).toEqual([
      [1, 1, 0],
      [5, 2, 0],
      [5, 3, 0],
      [2, 2, 0],
      [4, 2, 0],
      [4, 2, 0],
      [13, 2, 0],
      [4, 2, 2],
    ]);
  });
});
