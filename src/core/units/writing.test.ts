import fc from 'fast-check';
import { NUMBER_WRITINGS, readNumbers, writeNumbers, type NumberWriting } from './writing';

const writing = fc.constantFrom(...NUMBER_WRITINGS);

describe('numbers as a studio writes them', () => {
  it.each<[typed: string, writing: NumberWriting, read: string]>([
    // Only one reading: understood in every studio.
    ['1.250,50', 'point', '1250.50'],
    ['1,250.50', 'comma', '1250.50'],
    ['0,8 mm', 'point', '0.8 mm'],
    ['0.812 mm', 'comma', '0.812 mm'],
    ['0,812 mm', 'point', '0.812 mm'],
    ['12,5', 'point', '12.5'],
    ['1,250,000', 'comma', '1250000'],
    // Two readings: the studio's own.
    ['1,250 mm', 'point', '1250 mm'],
    ['1,250 mm', 'comma', '1.250 mm'],
    ['1.250 mm', 'point', '1.250 mm'],
    ['1.250 mm', 'comma', '1250 mm'],
    // No number at all: left for the reader to refuse.
    ['12,34,5', 'point', '12,34,5'],
    ['1.2.3', 'comma', '1.2.3'],
    // What is beside numbers stays.
    ['10 1/4 in', 'comma', '10 1/4 in'],
    ['25x18,5', 'comma', '25x18.5'],
    ['0.00, 5.00', 'point', '0.00, 5.00'],
  ])('%s where decimals follow a %s is %s', (typed, how, read) => {
    expect(readNumbers(typed, how)).toBe(read);
  });

  it('what is no number of the core is shown as it is', () => {
    expect(writeNumbers('“1.2.3” is no length; up to 12.5 mm, or 1,250.', 'comma')).toBe(
      '“1.2.3” is no length; up to 12,5 mm, or 1.250.',
    );
    expect(writeNumbers('12,34.5 and 0.8', 'comma')).toBe('12,34.5 and 0,8');
  });

  it('what is shown reads back to the same number, as the standard formatter of the language writes it', () => {
    // Intl is the reference: American English and Dutch write the two ways (CLDR).
    const locale = { point: 'en-US', comma: 'nl-NL' } as const;
    fc.assert(
      fc.property(writing, fc.integer({ min: 0, max: 1_000_000_000 }), (how, cents) => {
        const amount = cents / 100;
        const shown = new Intl.NumberFormat(locale[how], { minimumFractionDigits: 2 }).format(amount);
        const american = new Intl.NumberFormat('en-US', { minimumFractionDigits: 2 }).format(amount);
        expect(writeNumbers(american, how)).toBe(shown);
        expect(Number(readNumbers(shown, how))).toBe(amount);
      }),
    );
  });
});
