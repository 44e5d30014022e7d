import { isDay } from '@/core/calendar/day';
import { type Result } from '@/core/result';
import { parseAmountOf, parseCount, type Measure } from '@/core/stock/amount';
import type { Ware } from '@/core/stock/ware';
import { numberOnTag, tag } from '@/core/tag';
import { parseLength, um, type Micrometres } from '@/core/units/length';
import { parseMass, type Micrograms } from '@/core/units/mass';
import { cost, minor, parseCost, parseMoney, type CostUnits, type MinorUnits } from '@/core/units/money';

/** Reads one row of a list cell by cell, and gathers what is wrong with it instead of stopping at the first. */
export class RowReader {
  readonly #cells: ReadonlyMap<string, string>;
  readonly #titles: ReadonlyMap<string, string>;
  readonly #currency: string;
  readonly problems: string[] = [];

  constructor(cells: ReadonlyMap<string, string>, titles: ReadonlyMap<string, string>, currency: string) {
    this.#cells = cells;
    this.#titles = titles;
    this.#currency = currency;
  }

  #wrong(key: string, why: string): void {
    this.problems.push(`${this.#titles.get(key) ?? key}: ${why}`);
  }

  /** What stands in a cell, without the spaces round it. */
  raw(key: string): string {
    return (this.#cells.get(key) ?? '').trim();
  }

  #read<T>(key: string, read: (text: string) => Result<T>, otherwise: T, missing: T | undefined): T {
    const text = this.raw(key);
    if (text === '' && missing !== undefined) return missing;
    const result = read(text);
    if (result.ok) return result.value;
    this.#wrong(key, result.error);
    return otherwise;
  }

  text(key: string, max: number, { required = false } = {}): string {
    const text = this.raw(key);
    if (required && text === '') this.#wrong(key, 'is empty.');
    if (text.length > max) this.#wrong(key, `is ${text.length} characters long; ${max} are allowed.`);

    if (/[\u0000-\u0008\u000b-\u001f\u007f]/.test(text)) this.#wrong(key, 'has control characters in it.');
    return text;
  }

  /** One of a list, as it is called or as it is said; `otherwise` for an empty cell. */
  choice<T extends string>(
    key: string,
    choices: readonly T[],
    otherwise?: T,
    said?: (choice: T) => string,
  ): T {
    const text = this.raw(key).toLowerCase();
    if (text === '' && otherwise !== undefined) return otherwise;
    const found = choices.find((each) => each === text || said?.(each).toLowerCase() === text);
    if (!found) this.#wrong(key, `“${text.slice(0, 40)}” is none of ${choices.join(', ')}.`);
    return found ?? (choices[0] as T);
  }

  length(key: string, missing?: Micrometres): Micrometres {
    return this.#read(key, (text) => parseLength(text), um(0), missing);
  }

  /** A size with its bounds, µm. */
  size(key: string, { from, to }: { from: number; to: number }, missing?: Micrometres): Micrometres {
    const size = this.length(key, missing);
    if (this.raw(key) !== '' && (size < from || size > to))
      this.#wrong(key, `“${this.raw(key)}” is outside ${from / 1000} to ${to / 1000} mm.`);
    return size;
  }

  mass(key: string): Micrograms | null {
    return this.#read<Micrograms | null>(key, parseMass, null, null);
  }

  count(key: string): number {
    return this.#read(key, parseCount, 0, undefined);
  }

  /** A quantity that is more than nothing. */
  amount(key: string, measure: Measure, { zero = false } = {}): number {
    const amount = this.#read(key, (text) => parseAmountOf(measure, text), 0, zero ? 0 : undefined);
    if (!zero && amount === 0 && this.raw(key) !== '') this.#wrong(key, `“${this.raw(key)}” is nothing.`);
    return amount;
  }

  cost(key: string): CostUnits {
    return this.#read(key, (text) => parseCost(text, this.#currency), cost(0), cost(0));
  }

  money(key: string): MinorUnits | null {
    return this.#read<MinorUnits | null>(key, (text) => parseMoney(text, this.#currency), minor(0), null);
  }

  /** A day, ISO; null for an empty cell. */
  day(key: string): string | null {
    const text = this.raw(key);
    if (text === '') return null;
    if (isDay(text)) return text;
    this.#wrong(key, `“${text.slice(0, 40)}” is not a day; write it like 2026-05-21.`);
    return null;
  }

  /** The number on a tag; undefined for an empty cell. */
  tag(key: string, ware: Ware): number | undefined {
    const text = this.raw(key);
    if (text === '') return undefined;
    const number = numberOnTag(ware, text);
    if (number === undefined)
      this.#wrong(key, `“${text.slice(0, 40)}” is not a tag of this; write it like ${tag(ware, 42)}.`);
    return number;
  }

  /** Reads a cell with a reader of the core. */
  by<T>(key: string, read: (text: string) => Result<T>, otherwise: T): T {
    return this.#read(key, read, otherwise, undefined);
  }

  /** Says that something is wrong with a cell that only the list itself can know. */
  say(key: string, why: string): void {
    this.#wrong(key, why);
  }
}
