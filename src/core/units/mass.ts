import type { Result } from '../result';
import { parseQuantity, trimmedDecimal, type QuantityGrammar } from './quantity';

declare const massUnit: unique symbol;
/** A mass in whole micrograms (µg). */
export type Micrograms = number & { readonly [massUnit]: 'µg' };

/**
 * A whole number of micrograms as a mass.
 * @throws RangeError when `value` is not a whole, safe number
 * @example ug(12_400_000) // 12400000
 */
export function ug(value: number): Micrograms {
  if (!Number.isSafeInteger(value)) throw new RangeError(`${value} is not a whole number of micrograms`);
  return value as Micrograms;
}

/** Grams to the nearest microgram. @example grams(12.4) // 12400000 */
export const grams = (value: number): Micrograms => ug(Math.round(value * 1_000_000));

/** The troy ounce is 31.1034768 g exactly. */
export const GRAMS_PER_TROY_OUNCE = 31.1034768;

/** Sizes in µg, exact: the avoirdupois pound is 453.59237 g (1959), its ounce a sixteenth of it, the pennyweight 1/20 oz t. */
export const MASS_GRAMMAR: QuantityGrammar = {
  noun: 'weight',
  examples: '250 g, 1 1/2 oz t, 4 oz or 1 lb',
  units: [
    { names: ['kg', 'kilogram', 'kilograms'], size: { over: 1_000_000_000n, under: 1n } },
    { names: ['lb', 'lbs', 'pound', 'pounds'], size: { over: 453_592_370n, under: 1n } },
    {
      names: [
        'ozt',
        'oz t',
        'oz troy',
        'toz',
        't oz',
        'troy oz',
        'troy ounce',
        'troy ounces',
        'ounce troy',
        'ounces troy',
      ],
      size: { over: 311_034_768n, under: 10n },
    },
    {
      names: ['oz', 'ounce', 'ounces', 'oz av', 'oz avdp', 'oz avoirdupois'],
      size: { over: 28_349_523_125n, under: 1000n },
    },
    { names: ['dwt', 'pennyweight', 'pennyweights'], size: { over: 155_517_384n, under: 100n } },
    { names: ['g', 'gram', 'grams', 'gm', 'gms'], size: { over: 1_000_000n, under: 1n } },
    { names: ['mg', 'milligram', 'milligrams'], size: { over: 1000n, under: 1n } },
  ],
  limit: { base: 1_000_000_000_000, said: '1,000 kg' },
};

/**
 * Reads a mass as it stands on an invoice: "250 g", "1 1/2 oz t", "4 oz", "1 lb". A bare number is refused, since an
 * ounce is not a gram.
 * @example parseMass('1 1/2 oz t') // { ok: true, value: 46655215 }
 */
export function parseMass(text: string): Result<Micrograms> {
  return parseQuantity(text, MASS_GRAMMAR) as Result<Micrograms>;
}

/**
 * A mass in grams ("12.4 g"), milligrams below one gram's tenth.
 * @example formatMass(ug(12_400_000)) // '12.4 g'
 */
export function formatMass(mass: Micrograms): string {
  const said =
    Math.abs(mass) >= 1_000_000_000
      ? `${trimmedDecimal(mass / 1_000_000_000, 3)} kg`
      : `${trimmedDecimal(mass / 1_000_000, Math.abs(mass) < 10_000_000 ? 3 : 2)} g`;
  return said.replace('-', '−');
}

/** A mass in troy ounces to the thousandth ("1.5 oz t"). @example formatTroyOunces(grams(46.655)) // '1.5 oz t' */
export const formatTroyOunces = (mass: Micrograms): string =>
  `${trimmedDecimal(mass / 1_000_000 / GRAMS_PER_TROY_OUNCE, 3)} oz t`;

/**
 * Whether a weight is told in ounces without saying which: precious metal is sold by the troy ounce, everything else by the other.
 * @example isBareOunce('4 oz') // true
 */
export const isBareOunce = (text: string): boolean => /\d\s*(?:oz|ounces?)\.?$/i.test(text.trim());
