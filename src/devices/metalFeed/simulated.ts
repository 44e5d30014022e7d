import { type Day, dayIn } from '@/core/calendar/day';
import { PRICED_METALS, type PricedMetal } from '@/core/metalPrice/metalPrice';
import type { DayPrice } from './port';

/** Invented prices of a kilogram in US cents, about which the simulated market wanders. */
const MIDDLE: Readonly<Record<PricedMetal, number>> = { gold: 7_600_000, silver: 92_000, copper: 940 };

/** Invented rates: minor units of each currency for a US cent. */
const RATES: Readonly<Record<string, number>> = {
  USD: 1,
  EUR: 0.92,
  GBP: 0.79,
  CAD: 1.37,
  AUD: 1.52,
  NZD: 1.66,
  CHF: 0.88,
  SEK: 10.5,
  NOK: 10.8,
  DKK: 6.9,
  PLN: 3.95,
  INR: 84,
  JPY: 1.5,
};

const DAY_MS = 86_400_000;

/** The most days one question may cover: three years. */
export const MOST_DAYS = 1100;

/** A number between −1 and 1 that depends on nothing but the metal and the day. */
function noise(seed: number): number {
  let x = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b);
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35);
  return ((x ^ (x >>> 16)) >>> 0) / 2 ** 31 - 1;
}

/** The price of a day: slow waves, a rise over the years, and the day's own noise. The same every time. */
function priceOn(metal: PricedMetal, dayNumber: number): number {
  const at = PRICED_METALS.indexOf(metal) + 1;
  const waves = 0.06 * Math.sin(dayNumber / (37 + 11 * at)) + 0.03 * Math.sin(dayNumber / (9 + 2 * at));
  const rise = 0.00018 * (dayNumber - 20_400);
  return MIDDLE[metal] * (1 + waves + rise + 0.008 * noise(dayNumber * 7 + at));
}

/** Invented prices of every trading day (Monday to Friday) in a span. */
export function simulatedPrices(currency: string, from: Day, to: Day): DayPrice[] {
  const rate = RATES[currency];
  const [first, last] = [from, to].map((day) => Math.floor(Date.parse(`${day}T00:00:00Z`) / DAY_MS));
  if (rate === undefined || first === undefined || last === undefined || Number.isNaN(first + last))
    return [];
  const days = Array.from(
    { length: Math.max(0, Math.min(MOST_DAYS, last - first + 1)) },
    (_, index) => first + index,
  );
  return days.flatMap((number) => {
    const at = new Date(number * DAY_MS);
    if (at.getUTCDay() % 6 === 0) return [];
    const day = dayIn('UTC', at);
    return PRICED_METALS.map((metal) => ({
      metal,
      day,
      perKilogram: Math.round(priceOn(metal, number) * rate),
    }));
  });
}
