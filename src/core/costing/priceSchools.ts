import type { Result } from '../result';
import { formatMoney, minor, type MinorUnits } from '../units/money';
import { splitPrice, type PriceBasis, type PriceRules, type PriceSplit } from './price';
import { roundToEnding } from './rounding';
import { doubled } from './schools/doubled';
import { hourly } from './schools/hourly';
import { margin } from './schools/margin';
import { market } from './schools/market';
import { materialsTimes } from './schools/materialsTimes';
import type { PriceSchool } from './schools/school';

/** Every price school, in the order they are shown. A new school is one file and one entry here. */
export const PRICE_SCHOOLS: readonly PriceSchool[] = [doubled, materialsTimes, margin, hourly, market];

export const PRICE_SCHOOL_IDS: readonly string[] = PRICE_SCHOOLS.map(({ id }) => id);

/** What one school says of a piece. */
export interface SchoolPrice {
  readonly id: string;
  readonly name: string;
  readonly rule: string;
  /** The tag price and where its money goes, or why the school has no answer. */
  readonly outcome: Result<PriceSplit>;
}

/** All schools side by side on one piece. */
export function priceBySchools(
  basis: PriceBasis,
  rules: PriceRules,
  marketPrice: MinorUnits | null,
): SchoolPrice[] {
  return PRICE_SCHOOLS.map((school) => {
    const raw = school.price(basis, rules, marketPrice);
    const { id, name } = school;
    const rule = school.rule(rules);
    if (!raw.ok) return { id, name, rule, outcome: raw };
    const whole = minor(Math.ceil(raw.value - 1e-6));
    const price = school.rounds ? roundToEnding(whole, rules) : whole;
    return { id, name, rule, outcome: { ok: true, value: splitPrice(price, basis, rules) } };
  });
}

/** Whether a price pays for the piece at the studio's own rate and target, in a few words. */
export function verdictOn(
  { perHour }: Pick<PriceSplit, 'perHour'>,
  rules: Pick<PriceRules, 'targetPerHour'> & { hourlyRate: MinorUnits },
  code: string,
): string {
  if (perHour === null) return 'no bench time is logged';
  if (perHour < 0) return 'does not even pay its materials';
  if (perHour < rules.hourlyRate) return `under your rate of ${formatMoney(rules.hourlyRate, code)}`;
  if (perHour < rules.targetPerHour) return 'over your rate, under your target';
  return 'worth making';
}
