import { day } from '../calendar/day';
import { grams } from '../units/mass';
import { minor } from '../units/money';
import { mm, um } from '../units/length';
import type { WireSpec } from '../wire/spec';
import { ageInDays, meltValue, perTroyOunce, spotCost } from './metalPrice';

const STERLING: WireSpec = {
  metal: 'sterling',
  profile: 'round',
  width: um(812),
  height: um(812),
  temper: 'half hard',
  finish: 'bare',
  finishName: '',
  label: { system: 'AWG', number: '20' },
};

it('melts to its fine metal', () => {
  // 100 g of sterling at 1,000.00 a kilogram: 92.5 g of silver, 92.50.
  expect(meltValue('sterling', grams(100), minor(100_000))).toBe(9250);
  // A twentieth of 14/24: 29.17 g of gold in a kilogram of gold-filled (common practice).
  expect(meltValue('gold-filled', grams(1000), minor(1_000_000))).toBe(29_167);
  // 0.54 g of sterling at 10.00 a kilogram holds 0.4995 of a cent: none. Rounded at each step it would be one.
  expect(meltValue('sterling', grams(0.54), minor(1000))).toBe(0);
  expect(meltValue('steel', grams(100), minor(1000))).toBeUndefined();
  expect(meltValue('sterling', grams(100), undefined)).toBeUndefined();
});

it('prices wire by its metal, a premium and the drawing of it', () => {
  // 5.365 g a metre (20 ga sterling) × 0.925 × 0.10 a gram = 0.4963; a fifth on top 0.5955; with 0.30 for drawing 0.8955.
  const rule = { premium: 2000, fabricationPerMetre: minor(30) };
  expect((spotCost(STERLING, mm(1000), minor(10_000), rule) ?? 0) / 1000).toBeCloseTo(89.55, 1);
  expect(spotCost({ ...STERLING, metal: 'niobium' }, mm(1000), minor(10_000), rule)).toBeUndefined();
});

it('says a price by the troy ounce, and how old it is', () => {
  // 32.1507 troy ounces in a kilogram (31.1034768 g each).
  expect(perTroyOunce(minor(3_215_075))).toBe(100_000);
  expect(ageInDays(day('2026-05-01'), new Date('2026-05-04T10:00:00Z'))).toBe(3);
});
