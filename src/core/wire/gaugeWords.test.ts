import { soughtWords } from './gaugeWords';

describe('what somebody looks for', () => {
  it.each([
    ['20ga sterling', ['20 ga'], ['sterling']],
    ['sterling 20 GA', ['20 ga'], ['sterling']],
    ['#24 copper round', ['24 ga'], ['copper', 'round']],
    ['20 gauge', ['20 ga'], []],
    ['18swg brass', ['18 swg'], ['brass']],
    ['0,8mm copper', ['0.8 mm'], ['copper']],
    ['0.8 mm', ['0.8 mm'], []],
  ])('in “%s” is told apart', (text, sizes, words) => {
    expect(soughtWords(text)).toEqual({ sizes, words });
  });

  it.each(['99 ga', '20', 'loop 5', 'mm', '6 mm beads of glass 3'])(
    'keeps “%s” as words where it is no size',
    (text) => {
      const { sizes, words } = soughtWords(text);
      expect([...sizes.flatMap((size) => size.split(' ')), ...words].sort()).toEqual(text.split(' ').sort());
      expect(sizes).toEqual(text.startsWith('6 mm') ? ['6 mm'] : []);
    },
  );
});
