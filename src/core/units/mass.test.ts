import convert from 'convert-units';
import { expectOk } from '../result';
import { formatMass, formatTroyOunces, grams, parseMass } from './mass';

const read = (text: string) => expectOk(parseMass(text));

describe('reading a weight', () => {
  it.each([
    ['1 oz t', 31_103_477], // troy ounce 31.1034768 g, handbook of weights and measures
    ['1 ozt', 31_103_477],
    ['10 troy oz', 311_034_768],
    ['1 toz', 31_103_477],
    ['2 troy ounces', 62_206_954],
    ['1 t oz', 31_103_477],
    // The avoirdupois ounce is a sixteenth of 453.59237 g.
    ['1 oz av', 28_349_523],
    ['1 oz avdp', 28_349_523],
    ['20 dwt', 31_103_477],
    ['1 lb', 453_592_370],
    ['1 lb 4 oz', 566_990_463],
    ['1 1/2 oz', 42_524_285],
    ['250 g', 250_000_000],
    ['0.5 kg', 500_000_000],
  ])('reads %s', (text, expected) => {
    const result = parseMass(text);
    expect(result.ok ? result.value : null).toBe(expected);
  });

  it('agrees with a reference library', () => {
    for (const unit of ['g', 'kg', 'mg', 'oz', 'lb'] as const) {
      // The library carries the pound as 453.592 g: six figures.
      const theirs = convert(3).from(unit).to('g');
      expect(Math.abs(read(`3 ${unit}`) / 1e6 / theirs - 1)).toBeLessThan(2e-6);
    }
  });

  it('refuses a number without a unit and a length', () => {
    expect(parseMass('12')).toMatchObject({ ok: false, error: expect.stringMatching(/no unit/) });
    expect(parseMass('12 mm')).toMatchObject({
      ok: false,
      error: expect.stringMatching(/not a unit of weight/),
    });
    expect(parseMass('')).toMatchObject({ ok: false, error: expect.stringMatching(/Enter a weight/) });
  });
});

it('prints grams and troy ounces', () => {
  expect(formatMass(grams(12.4))).toBe('12.4 g');
  expect(formatMass(grams(1500))).toBe('1.5 kg');
  expect(formatTroyOunces(grams(31.1034768))).toBe('1 oz t');
});
