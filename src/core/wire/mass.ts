import { UM_PER_METRE, um, type Micrometres } from '../units/length';
import { ug, GRAMS_PER_TROY_OUNCE, type Micrograms } from '../units/mass';
import { metalOf } from './metal';
import { areaMm2 } from './profile';
import { describeSpec, type WireSpec } from './spec';

/**
 * Grams in one metre of a wire: area (mm²) × density (g/cm³), since 1 mm² over 1 m is 1 cm³.
 * @example Math.round(gramsPerMetre(sterling20) * 100) / 100 // 5.36
 */
export const gramsPerMetre = (spec: WireSpec): number => areaMm2(spec) * metalOf(spec.metal).density;

/**
 * Mass of a length of wire, to the microgram.
 * @example formatMass(massOfLength(sterling20, um(1_000_000))) // '5.365 g'
 */
export function massOfLength(spec: WireSpec, length: Micrometres): Micrograms {
  return ug(Math.round(gramsPerMetre(spec) * length));
}

/**
 * Length of a mass of wire, to the micrometre.
 * @example formatToCut(lengthOfMass(sterling20, grams(5.37)), 'mm') // '1001 mm'
 */
export function lengthOfMass(spec: WireSpec, mass: Micrograms): Micrometres {
  return um(Math.round(mass / gramsPerMetre(spec)));
}

/** Feet of wire in one troy ounce, as silver is sold. @example Math.round(feetPerTroyOunce(sterling20)) // 19 */
export function feetPerTroyOunce(spec: WireSpec): number {
  return GRAMS_PER_TROY_OUNCE / gramsPerMetre(spec) / 0.3048;
}

/** What a bought length and its weight say about each other. */
export interface WeightCheck {
  /** Weighed over computed, less one: 0.14 is 14 % heavier than it should be. */
  readonly deviation: number;
  /** `fine` within drawing tolerance, `odd` worth a look, `wrong` another wire or another length. */
  readonly verdict: 'fine' | 'odd' | 'wrong';
  /** The same in a sentence. */
  readonly sentence: string;
}

/** Drawn wire keeps its diameter within about 1 %, its weight within about 2 to 3 % (common practice). */
const FINE = 0.03;
const WRONG = 0.1;

/**
 * Compares the weight of a spool's wire with what that length of that spec should weigh.
 * @param length more than zero
 * @example checkWeight(sterling20, um(1_000_000), grams(6.5)).verdict // 'wrong'
 */
export function checkWeight(spec: WireSpec, length: Micrometres, mass: Micrograms): WeightCheck {
  const deviation = mass / massOfLength(spec, length) - 1;
  const size = Math.abs(deviation);
  const percent = `${(size * 100).toFixed(size < 0.1 ? 1 : 0)} %`;
  const verdict = size <= FINE ? 'fine' : size <= WRONG ? 'odd' : 'wrong';
  const sentence =
    verdict === 'fine'
      ? `Length and weight agree within ${percent}.`
      : `This wire works out ${percent} ${deviation > 0 ? 'heavier' : 'lighter'} than ${describeSpec(spec)} should.`;
  return { deviation, verdict, sentence };
}

/**
 * Price of one metre and one foot, in the money unit given (whatever it is), from a price for a length.
 * @example pricePerLength(3000, um(1_000_000)).perMetre // 3000
 */
export function pricePerLength(price: number, length: Micrometres): { perMetre: number; perFoot: number } {
  const perMetre = (price * UM_PER_METRE) / length;
  return { perMetre, perFoot: perMetre * 0.3048 };
}
