import { orderIn, type NumericOrder } from '@/core/calendar/typedDay';
import { questionId, type Answers } from './questions';

/** How the columns of one file are to be read, as their titles, their cells and the maker say. */
export interface ColumnWays {
  /** Unit of bare numbers, by column. */
  readonly units: Readonly<Record<string, string>>;
  readonly orders: Readonly<Record<string, NumericOrder>>;
  readonly answers: Answers;
  /** Titles of the file by column of the list; columns that the file lacks are left out. */
  readonly titles: Readonly<Record<string, string>>;
}

/** Units that stand in titles, as they are written after a number here; the longer words first. */
const TITLED: readonly (readonly [RegExp, string])[] = [
  [/\b(?:troy|ozt|oz t|toz)\b/i, 'ozt'],
  [/\b(?:feet|foot|ft)\b/i, 'ft'],
  [/\b(?:inches|inch|in)\b|["″]/i, 'in'],
  [/\b(?:yards?|yds?)\b/i, 'yd'],
  [/\b(?:millimet(?:er|re)s?|mm)\b/i, 'mm'],
  [/\b(?:centimet(?:er|re)s?|cm)\b/i, 'cm'],
  [/\b(?:met(?:er|re)s?|m)\b/i, 'm'],
  [/\b(?:kilograms?|kg)\b/i, 'kg'],
  [/\b(?:grams?|g)\b/i, 'g'],
  [/\b(?:pounds?|lbs?)\b/i, 'lb'],
];

/** The unit that a title names; undefined when it names none. @example unitIn('Length (ft)') // 'ft' */
export const unitIn = (title: string): string | undefined => TITLED.find(([word]) => word.test(title))?.[1];

/** Works out how the columns of a table are to be read. @param sure columns whose titles are the list's own */
export function columnWays(
  header: readonly string[],
  rows: readonly { readonly cells: readonly string[] }[],
  mapping: Readonly<Record<string, number>>,
  answers: Answers,
): ColumnWays {
  const units: Record<string, string> = {};
  const orders: Record<string, NumericOrder> = {};
  const titles: Record<string, string> = {};
  for (const [key, at] of Object.entries(mapping)) {
    if (at < 0) continue;
    const title = header[at] ?? '';
    titles[key] = title;
    const unit = answers[questionId('unit', key)] ?? unitIn(title);
    if (unit !== undefined) units[key] = unit;
    const told = answers[questionId('order', key)];
    const order =
      told === 'day first' || told === 'month first'
        ? told
        : orderIn(rows.map(({ cells }) => cells[at] ?? ''));
    if (order !== undefined) orders[key] = order;
  }
  return { units, orders, answers, titles };
}
