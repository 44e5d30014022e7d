import type { Day } from '@/core/calendar/day';
import type { WrongCell } from '@/data/models/lists';
import { ok, type Result } from '@/core/result';
import { parseAmountOf, parseCount, type Measure } from '@/core/stock/amount';
import type { Ware } from '@/core/stock/ware';
import { numberOnTag, tag } from '@/core/tag';
import { parseLength, um, type Micrometres } from '@/core/units/length';
import { parseMass, type Micrograms } from '@/core/units/mass';
import { cost, minor, parseCost, parseMoney, type CostUnits, type MinorUnits } from '@/core/units/money';
import { readTypedDay } from '@/core/calendar/typedDay';
import type { ColumnWays } from './columnWays';
import { questionId, type Questions } from './questions';
import { foundIn, meaningOf } from './vocabulary';

export type { WrongCell };

/** What a whole file says about how its rows are read. */
export interface Reading {
  readonly titles: ReadonlyMap<string, string>;
  readonly currency: string;
  readonly ways: ColumnWays;
  /** What only the maker knows is asked here. */
  readonly questions: Questions;
}

/** A number that says no unit. */
const BARE = /^[\d.,\s/½¼¾⅛⅜⅝⅞]+$/;
/** What is roughly so many is so many until it is counted. */
const ABOUT = /^(?:≈|~|ca\.?|about|approx\.?)\s*/i;

const LENGTH_UNITS = ['mm', 'cm', 'm', 'in', 'ft', 'yd'];

/** Reads one row of a list cell by cell, and gathers what is wrong with it instead of stopping at the first. */
export class RowReader {
  readonly #cells: ReadonlyMap<string, string>;
  readonly #reading: Reading;
  readonly wrong: WrongCell[] = [];

  constructor(cells: ReadonlyMap<string, string>, reading: Reading) {
    this.#cells = cells;
    this.#reading = reading;
  }

  get problems(): string[] {
    return this.wrong.map(({ title, why }) => `${title}: ${why}`);
  }

  #title(key: string): string {
    return this.#reading.titles.get(key) ?? key;
  }

  #wrong(key: string, why: string): void {
    this.wrong.push({ key, title: this.#title(key), text: this.raw(key), why });
  }

  /** Asks what only the maker knows, and keeps the row back meanwhile. */
  #ask(key: string, question: Omit<Parameters<Questions['add']>[0], 'column'>, word = ''): void {
    this.#reading.questions.add({ ...question, column: key }, word);
    this.#wrong(key, question.asks);
  }

  #answer(kind: Parameters<typeof questionId>[0], key: string, word = ''): string | undefined {
    return this.#reading.ways.answers[questionId(kind, key, word)];
  }

  /** Whether the file has a column for it. */
  has(key: string): boolean {
    return this.#reading.ways.titles[key] !== undefined;
  }

  /** What stands in a cell, without the spaces round it. */
  raw(key: string): string {
    return (this.#cells.get(key) ?? '').trim();
  }

  /** What stands in a cell, or what all rows are of where it is empty and that was said. */
  #said(key: string): string {
    return this.raw(key) || (this.#answer('all', key) ?? '');
  }

  /** A cell with the unit of its column where it says none. */
  #withUnit(key: string): string {
    const text = this.#said(key).replace(ABOUT, '');
    const unit = this.#reading.ways.units[key];
    return unit !== undefined && text !== '' && BARE.test(text) ? `${text} ${unit}` : text;
  }

  #read<T>(
    key: string,
    text: string,
    read: (text: string) => Result<T>,
    otherwise: T,
    missing: T | undefined,
  ): T {
    if (text === '' && missing !== undefined) return missing;
    const result = read(text);
    if (result.ok) return result.value;
    this.#wrong(key, result.error);
    return otherwise;
  }

  text(key: string, max: number, { required = false } = {}): string {
    const text = this.#said(key);
    if (required && text === '') this.#wrong(key, 'is empty.');
    if (text.length > max) this.#wrong(key, `is ${text.length} characters long; ${max} are allowed.`);

    if (/[\u0000-\u0008\u000b-\u001f\u007f]/.test(text)) this.#wrong(key, 'has control characters in it.');
    return text;
  }

  /**
   * One of a list: as it is called here, as makers call it, or as the maker has said. A word that nobody knows is asked, once for all
   * rows; so is what the rows are of when the file does not say.
   * @param otherwise for an empty cell
   * @param description where it may stand too: "20ga dead soft copper"
   */
  choice<T extends string>(
    key: string,
    choices: readonly T[],
    {
      otherwise,
      said,
      description = '',
    }: { otherwise?: T; said?: (choice: T) => string; description?: string } = {},
  ): T {
    const text = this.raw(key);
    const known = (word: string): T | undefined =>
      choices.find((each) => said?.(each).toLowerCase() === word.toLowerCase()) ??
      (meaningOf(key, word, choices) as T | undefined) ??
      choices.find((each) => each === this.#answer('word', key, word));
    const found =
      text === ''
        ? ((foundIn(key, description, choices) as T | undefined) ?? otherwise ?? known(this.#said(key)))
        : (known(text) ?? (foundIn(key, text, choices) as T | undefined));
    if (found !== undefined) return found;
    const offered = choices.map((value) => ({ value, text: said?.(value) ?? value }));
    if (text === '')
      this.#ask(key, {
        kind: 'all',
        asks: `${this.#title(key)}: the file does not say. What is it?`,
        choices: offered,
      });
    else
      this.#ask(
        key,
        {
          kind: 'word',
          asks: `What does “${text.slice(0, 40)}” mean in “${this.#title(key)}”?`,
          choices: offered,
        },
        text,
      );
    return choices[0] as T;
  }

  length(key: string, missing?: Micrometres): Micrometres {
    const text = this.#withUnit(key);
    if (BARE.test(text) && text !== '') {
      this.#askUnit(key, LENGTH_UNITS);
      return missing ?? um(0);
    }
    if (text === '' && missing === undefined) {
      this.#ask(key, {
        kind: 'all',
        asks: `${this.#title(key)}: the file does not say. What is it for all of them?`,
        choices: [],
        example: '1 mm',
      });
      return um(0);
    }
    return this.#read(key, text, (plain) => parseLength(plain), um(0), missing);
  }

  #askUnit(key: string, units: readonly string[]): void {
    this.#ask(key, {
      kind: 'unit',
      asks: `Which unit is “${this.#reading.ways.titles[key] ?? this.#title(key)}” in?`,
      choices: units.map((value) => ({ value, text: value })),
    });
  }

  /** A size with its bounds, µm; a bare number is millimetres, as beads and stones are measured. */
  size(key: string, { from, to }: { from: number; to: number }, missing?: Micrometres): Micrometres {
    const text = this.#withUnit(key);
    const plain = BARE.test(text) ? `${text} mm` : text;
    const size =
      text === ''
        ? this.length(key, missing)
        : this.#read(key, plain, (each) => parseLength(each), um(0), missing);
    if (text !== '' && (size < from || size > to))
      this.#wrong(key, `“${this.raw(key)}” is outside ${from / 1000} to ${to / 1000} mm.`);
    return size;
  }

  mass(key: string): Micrograms | null {
    return this.#read<Micrograms | null>(key, this.#withUnit(key), parseMass, null, null);
  }

  /**
   * A quantity that is more than nothing.
   * @param lengthOf the length of a weight, for wire that is kept by weight
   * @param missing when the file does not say
   */
  amount(
    key: string,
    measure: Measure,
    {
      lengthOf,
      missing,
      zero = false,
    }: { lengthOf?: (mass: Micrograms) => Micrometres; missing?: number; zero?: boolean } = {},
  ): number {
    const text = this.#strands(key, measure, this.#withUnit(key));
    if (text === undefined) return 0;
    if (measure.ware === 'wire' && text !== '' && BARE.test(text)) {
      this.#askUnit(key, [...LENGTH_UNITS, 'g', 'ozt']);
      return 0;
    }
    const read = (plain: string): Result<number> => {
      const mass = lengthOf ? parseMass(plain) : undefined;
      return mass?.ok && lengthOf ? ok(lengthOf(mass.value)) : parseAmountOf(measure, plain);
    };
    const amount = this.#read(key, text, read, 0, missing);
    if (amount === 0 && text !== '' && !zero) this.#wrong(key, `“${this.raw(key)}” is nothing.`);
    return amount;
  }

  /** "2 strands" as so many beads, once it was said how many are on one; undefined while that is asked. */
  #strands(key: string, { ware }: Measure, text: string): string | undefined {
    const [, count] = /^(\d+(?:[.,]\d+)?|½|a)?\s*strands?$/i.exec(text) ?? [];
    if (ware !== 'bead' || !/strands?$/i.test(text)) return text;
    const each = Number(this.#answer('strand', key));
    if (!(each > 0)) {
      this.#ask(key, { kind: 'strand', asks: 'How many beads are on a strand?', choices: [], example: '48' });
      return undefined;
    }
    const strands = count === '½' ? 0.5 : Number((count ?? '1').replace(',', '.').replace(/^a$/i, '1'));
    return String(Math.round(strands * each));
  }

  count(key: string): number {
    return this.#read(key, this.raw(key).replace(ABOUT, ''), parseCount, 0, undefined);
  }

  /** What all of a row cost, in a column of what one or all cost. @param ones how many ones it holds */
  cost(key: string, ones: number): CostUnits {
    const amount = this.#read(
      key,
      this.raw(key),
      (text) => parseCost(text, this.#reading.currency),
      cost(0),
      cost(0),
    );
    return cost(Math.round(amount * this.#times(key, ones)));
  }

  money(key: string, ones: number): MinorUnits | null {
    const amount = this.#read<MinorUnits | null>(
      key,
      this.raw(key),
      (text) => parseMoney(text, this.#reading.currency),
      minor(0),
      null,
    );
    return amount === null ? null : minor(Math.round(amount * this.#times(key, ones)));
  }

  /** By how much a price is to be taken: it may be for one, and the title may say so. */
  #times(key: string, ones: number): number {
    const title = this.#reading.ways.titles[key] ?? '';
    if (this.raw(key) === '' || ones === 1 || title === this.#title(key)) return 1;
    const told = this.#answer('each', key) ?? eachSaid(title);
    if (told === undefined) {
      this.#ask(key, {
        kind: 'each',
        asks: `Is “${title}” for all that a row holds, or for one?`,
        choices: [
          { value: 'all', text: 'for all that the row holds' },
          { value: 'one', text: 'for one (a foot or metre of wire, a single bead)' },
        ],
      });
      return 1;
    }
    return told === 'one' ? ones : 1;
  }

  /** A day, ISO; null for an empty cell. */
  day(key: string): Day | null {
    const text = this.raw(key);
    if (text === '') return null;
    const read = readTypedDay(text, this.#reading.ways.orders[key]);
    if (read && 'day' in read) return read.day;
    if (read)
      this.#ask(key, {
        kind: 'order',
        asks: `“${text}” in “${this.#reading.ways.titles[key] ?? this.#title(key)}”: does the day or the month stand first?`,
        choices: [
          { value: 'day first', text: 'the day first' },
          { value: 'month first', text: 'the month first' },
        ],
      });
    else this.#wrong(key, `“${text.slice(0, 40)}” is not a day; write it like 2026-05-21.`);
    return null;
  }

  /** The unit that bare numbers of a column are in. */
  unit(key: string): string | undefined {
    return this.#reading.ways.units[key];
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
    return this.#read(key, this.#said(key), read, otherwise, undefined);
  }

  /** Says that something is wrong with a cell that only the list itself can know. */
  say(key: string, why: string): void {
    this.#wrong(key, why);
  }
}

/** What a title says of whether it is for one or for all. */
function eachSaid(title: string): 'one' | 'all' | undefined {
  if (/\b(?:each|per|unit|apiece|single|ea)\b/i.test(title)) return 'one';
  return /\b(?:total|all|paid|spool|strand|lot|pack)\b/i.test(title) ? 'all' : undefined;
}
