import type { DayOrder } from '@/core/calendar/day';
import type { RingSystem } from '@/core/ring/ringSize';
import type { SheetName } from '@/core/paper/sheet';
import type { NumberWriting } from '@/core/units/writing';

/** How the place of a browser writes, and what it prints on. */
export interface Customs {
  readonly timeZone: string;
  readonly numbers: NumberWriting;
  readonly days: DayOrder;
  readonly rings: RingSystem;
  readonly sheet: SheetName;
}

/** Countries that print on Letter rather than A4 (Unicode CLDR, supplemental measurement data: paper size). */
const LETTER = /-(BZ|CA|CL|CO|CR|GT|MX|NI|PA|PH|PR|SV|US|VE)\b/;

/** What a locale has of it; ring sizes by common practice of the trade. @param locale a BCP 47 tag, like "de-AT" */
export function customsOf(locale: string): Omit<Customs, 'timeZone'> {
  const decimal = new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal');
  const parts = new Intl.DateTimeFormat(locale).formatToParts(new Date(2026, 4, 21));
  const first = parts.map(({ type }) => type).find((type) => type !== 'literal');
  return {
    numbers: decimal?.value === ',' ? 'comma' : 'point',
    days: first === 'month' || first === 'year' ? first : 'day',
    rings: /-(US|CA|PR|PH)\b/.test(locale) ? 'US' : /-(GB|IE|AU|NZ|ZA)\b/.test(locale) ? 'UK' : 'ISO',
    sheet: LETTER.test(locale) ? 'Letter' : 'A4',
  };
}

/** What this browser has of it; every one can be changed in the house rules. */
export const customsHere = (): Customs => ({
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  ...customsOf(navigator.language),
});
