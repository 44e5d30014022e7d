import 'reflect-metadata';
import { Type, type ClassConstructor } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  ValidateBy,
  ValidateNested,
  type ValidationArguments,
} from 'class-validator';
import { isDay, isZone, dayIn, daysLater } from '@/core/calendar/day';
import { refuse, ok, type Result } from '@/core/result';
import { parseLength, parseLengths, type Micrometres } from '@/core/units/length';
import { parseMass, type Micrograms } from '@/core/units/mass';
import { parseAmount } from '@/core/units/money';
import { parsePercent } from '@/core/units/percent';
import { parseCount } from '@/core/stock/amount';
import { numberOnTag, tag, type Tagged } from '@/core/tag';
import type { Amount, Reads } from './typed';

/** A reader of something sent that answers with a value or the sentence to show beside the field. */
type Reader<Value, Given> = (given: Given, form: object) => Result<Value>;

/** What was read of the fields of something sent, until {@link takeRead} takes it. */
const readOf = new WeakMap<object, Map<string, unknown>>();

/** What was read of a field when its form was validated. @returns undefined for a field that has no reader, or that was left out */
export const takeRead = (form: object, name: string): { readonly value: unknown } | undefined => {
  const values = readOf.get(form);
  return values?.has(name) ? { value: values.get(name) } : undefined;
};

/** Validates a field with a reader, and keeps what was read: the same sentence in the browser, on the server and in an import. */
export function ReadsGiven<Value>(name: string, read: Reader<Value, unknown>): Reads<Value> {
  const outcome = ({ value, object }: ValidationArguments): Result<Value> => read(value, object);
  const rule = ValidateBy({
    name,
    validator: {
      validate: (_, args) => {
        if (!args) return false;
        const result = outcome(args);
        if (!result.ok) return false;
        const values = readOf.get(args.object) ?? new Map<string, unknown>();
        readOf.set(args.object, values.set(args.property, result.value));
        return true;
      },
      defaultMessage: (args) => {
        const result = args && outcome(args);
        return result && !result.ok ? result.error : '';
      },
    },
  });
  return (input, field) => rule(input, field);
}

const TEXT = refuse('Enter this as text.');

/** Validates a text field with a reader of the core. */
const readsWith = <Value>(name: string, read: Reader<Value, string>): Reads<Value> =>
  ReadsGiven(name, (given, form) => (typeof given === 'string' ? read(given, form) : TEXT));

/** The same for a list of texts; of several that are wrong the first is told. */
const readsEach = <Value>(name: string, read: (text: string) => Result<Value>): Reads<Value[]> =>
  ReadsGiven(name, (given) => {
    if (!Array.isArray(given)) return TEXT;
    const values: Value[] = [];
    for (const each of given) {
      const result = typeof each === 'string' ? read(each) : TEXT;
      if (!result.ok) return result;
      values.push(result.value);
    }
    return ok(values);
  });

interface Least {
  /** Whether nought is allowed. */
  readonly zero?: boolean;
}
const moreThanZero = <T>(
  result: Result<T>,
  amount: (value: T) => number,
  text: string,
  { zero }: Least,
): Result<T> =>
  result.ok && !zero && amount(result.value) === 0
    ? refuse(`“${text}” is nothing; it must be more than 0.`)
    : result;

/** What is read only when it is asked for; null when it is not. */
export const onlyIf = <Value>(isAsked: boolean, read: () => Result<Value>): Result<Value | null> =>
  isAsked ? read() : ok(null);

/** Null for nothing typed. */
const orNone =
  <Value>(read: Reader<Value, string>): Reader<Value | null, string> =>
  (text, form) =>
    onlyIf(text.trim() !== '', () => read(text, form));

/** Reads a length that is more than nothing, if nought is not allowed. */
export const readLength = (text: string, least: Least = {}): Result<Micrometres> =>
  moreThanZero(parseLength(text), Number, text, least);

/** Reads a mass that is more than nothing, if nought is not allowed. */
export const readMass = (text: string, least: Least = {}): Result<Micrograms> =>
  moreThanZero(parseMass(text), Number, text, least);

/** A length with its unit: "10 1/4 in", "26 cm". */
export const ReadsLength = (least: Least = {}) => readsWith('readsLength', (text) => readLength(text, least));

/** One length or several with their units, or 0: "40 mm", "2 × 15 mm", "15 mm + 12 mm". */
export const ReadsLengths = () => readsWith('readsLengths', (text) => parseLengths(text));

/** A mass with its unit: "250 g", "1 oz t". */
export const ReadsMass = (least: Least = {}) => readsWith('readsMass', (text) => readMass(text, least));

/** A mass, or nothing. */
export const ReadsMassOrNone = () => readsWith('readsMassOrNone', orNone(parseMass));

/** Reads an amount that is more than nothing, if nought is not allowed. */
export const readAmount = (text: string, least: Least = {}): Result<Amount> =>
  moreThanZero(parseAmount(text), ({ money }) => money, text, least);

const readTag = (kind: Tagged, text: string): Result<number> => {
  const number = numberOnTag(kind, text);
  return number === undefined
    ? refuse(
        `“${text.slice(0, 40)}” is not a tag of ${TAGGED_WORDS[kind] ?? kind}; write it like ${tag(kind, 42)}.`,
      )
    : ok(number);
};

/** How kinds of tags are told of, where the kind’s own name does not do. */
const TAGGED_WORDS: Partial<Record<Tagged, string>> = { stone: 'a stone' };

/** The number on the tag of something. */
export const ReadsTag = (kind: Tagged) => readsWith('readsTag', (text) => readTag(kind, text));

/** The number on the tag of something, or nothing. */
export const ReadsTagOrNone = (kind: Tagged) =>
  readsWith(
    'readsTagOrNone',
    orNone((text) => readTag(kind, text)),
  );

/** An amount with its currency: "12.50 USD". */
export const ReadsMoney = (least: Least = {}) => readsWith('readsMoney', (text) => readAmount(text, least));

/** An amount, or nothing. */
export const ReadsMoneyOrNone = (least: Least = {}) =>
  readsWith(
    'readsMoneyOrNone',
    orNone((text) => readAmount(text, least)),
  );

/** Several amounts. */
export const ReadsAmounts = (least: Least = {}) =>
  readsEach('readsAmounts', (text) => readAmount(text, least));

/** A percentage from 0 to `max`. */
export const ReadsPercent = (max: number) => readsWith('readsPercent', (text) => parsePercent(text, max));

const plainNumber = (text: string): number =>
  /^\d{1,9}([.,]\d{1,2})?$/.test(text.trim()) ? Number(text.replace(',', '.')) : NaN;

/** A whole number written as text. */
export const ReadsWhole = (min: number, max: number) =>
  readsWith('readsWhole', (text) => {
    const value = plainNumber(text);
    return Number.isInteger(value) && value >= min && value <= max
      ? ok(value)
      : refuse(`“${text.slice(0, 40)}” is not a whole number from ${min} to ${max}.`);
  });

/** Number of things of which there is one at least: "30", "1 dozen". */
export const ReadsCount = () =>
  readsWith('readsCount', (text) => moreThanZero(parseCount(text), Number, text, {}));

/** Reads a number with at most two figures after the point. */
export const readNumber = (text: string, min: number, max: number): Result<number> => {
  const value = plainNumber(text);
  return value >= min && value <= max
    ? ok(value)
    : refuse(`“${text.slice(0, 40)}” is not a number from ${min} to ${max}, like 12.5.`);
};

/** A number with at most two figures after the point, written as text: minutes, factors. */
export const ReadsNumber = (min: number, max: number) =>
  readsWith('readsNumber', (text) => readNumber(text, min, max));

/** Several such numbers. */
export const ReadsNumbers = (min: number, max: number) =>
  readsEach('readsNumbers', (text) => readNumber(text, min, max));

/** A name: something in it, not longer than `max`, on one line; without the blanks round it. */
const readName = (text: string, what: string, max: number): Result<string> => {
  const name = text.trim();
  if (name === '') return refuse(`Give ${what}.`);
  if (/[\u0000-\u001f\u007f]/.test(text))
    return refuse('A name goes on one line, without control characters.');
  return name.length <= max ? ok(name) : refuse(tooLong(name, max));
};

const tooLong = (text: string, max: number): string =>
  `This is ${text.length.toLocaleString('en-US')} characters long; ${max} are allowed.`;

/** A name: something in it, not longer than `max`, on one line. */
export const ReadsName = (what: string, max = 120) =>
  readsWith('readsName', (text) => readName(text, what, max));

/** Several names. */
export const ReadsNames = (what: string, max = 120) =>
  readsEach('readsNames', (text) => readName(text, what, max));

/** Text that may be empty, not longer than `max`; without the blanks round it. */
export const ReadsText = (max: number) =>
  readsWith('readsText', (text) => (text.length <= max ? ok(text.trim()) : refuse(tooLong(text, max))));

/** What nobody else shall know: something in it, not longer than `max`, and nothing taken from it. */
export const ReadsSecret = (what: string, max: number) =>
  readsWith('readsSecret', (text) => {
    if (text === '') return refuse(`Give ${what}.`);
    return text.length <= max ? ok(text) : refuse(tooLong(text, max));
  });

/** One of a list. */
export const ReadsOneOf = <Choice extends string>(choices: readonly Choice[], what: string) =>
  readsWith('readsOneOf', (text) => {
    const choice = choices.find((each) => each === text);
    return choice === undefined ? refuse(`Choose ${what}: ${choices.join(', ')}.`) : ok(choice);
  });

/** A calendar day as a date field gives it, 2000 to tomorrow (somewhere it is tomorrow already). */
export const ReadsPastDay = () =>
  readsWith('readsPastDay', (text) => {
    if (!isDay(text)) return refuse(`“${text.slice(0, 40)}” is not a day; write it like 2026-05-21.`);
    if (text < '2000-01-01') return refuse('This day is before 2000.');
    const tomorrow = daysLater(dayIn('UTC', new Date()), 1);
    return text <= tomorrow ? ok(text) : refuse('This day is still to come.');
  });

/** A calendar day to come or past, or nothing. */
export const ReadsDayOrNone = () =>
  readsWith(
    'readsDayOrNone',
    orNone((text) =>
      isDay(text) && text >= '2000-01-01' && text < '2100-01-01'
        ? ok(text)
        : refuse(`“${text.slice(0, 40)}” is not a day from 2000 to 2099; write it like 2026-05-21.`),
    ),
  );

/** The name of a time zone: "Pacific/Auckland". */
export const ReadsZone = () =>
  readsWith('readsZone', (text) =>
    isZone(text)
      ? ok(text)
      : refuse(`“${text.slice(0, 60)}” is not a time zone; choose one of the list, like Pacific/Auckland.`),
  );

/** A field whose meaning depends on others of the same form. */
export const ReadsBy = <Value, Form extends object>(
  name: string,
  read: (text: string, form: Form) => Result<Value>,
) => readsWith(name, (text, form) => read(text, form as Form));

/** Several decorators as one. */
export const together =
  (...decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (input, name) =>
    decorators.forEach((each) => each(input, name));

const NO_LIST = 'A list belongs here, and something else was sent.';

/** A list of not more than so many. @param said what is said of more */
export const AFew = (most: number, said: string): PropertyDecorator =>
  together(IsArray({ message: NO_LIST }), ArrayMaxSize(most, { message: said }));

/**
 * Entries that are input classes themselves.
 * @param most how many there may be
 * @param said what is said of more than those, and of none where one is needed at least
 */
export const Entries = (
  of: () => ClassConstructor<object>,
  most: number,
  said: { readonly most: string; readonly least?: string },
): PropertyDecorator =>
  together(
    AFew(most, said.most),
    ...(said.least === undefined ? [] : [ArrayMinSize(1, { message: said.least })]),
    ValidateNested({ each: true }),
    Type(of),
  );
