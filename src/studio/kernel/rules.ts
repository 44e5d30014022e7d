import 'reflect-metadata';
import { ValidateBy, type ValidationArguments, type ValidationOptions } from 'class-validator';
import { isZone, parseDay } from '@/core/calendar/day';
import { refuse, ok, type Result } from '@/core/result';
import { parseLength, parseLengths } from '@/core/units/length';
import { parseMass } from '@/core/units/mass';
import { parseAmount } from '@/core/units/money';
import { parsePercent } from '@/core/units/percent';

/** A reader of text that answers with a value or the sentence to show beside the field. */
type Reader = (text: string, whole: object) => Result<unknown>;

/** Validates a text field with a reader of the core: the same sentence in the browser, the server and an import. */
function readsWith(name: string, read: Reader, options?: ValidationOptions): PropertyDecorator {
  const outcome = (value: unknown, args?: ValidationArguments): Result<unknown> => {
    if (typeof value === 'string') return read(value, args?.object ?? {});
    // Of a list, the first wrong entry is told.
    if (options?.each && Array.isArray(value))
      return value.map((each) => outcome(each, args)).find(({ ok: fine }) => !fine) ?? ok(value);
    return refuse('Enter this as text.');
  };
  return ValidateBy(
    {
      name,
      validator: {
        validate: (value, args) => outcome(value, args).ok,
        defaultMessage: (args) => {
          const result = outcome(args?.value, args);
          return result.ok ? '' : String(result.error);
        },
      },
    },
    options,
  );
}

interface Least {
  /** Whether nought is allowed. */
  readonly zero?: boolean;
  /** Whether the field is a list of such texts. */
  readonly each?: boolean;
  /** Whether it may be left empty. */
  readonly empty?: boolean;
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

/** A length with its unit: "10 1/4 in", "26 cm". */
export const ReadsLength = (least: Least = {}) =>
  readsWith('readsLength', (text) => moreThanZero(parseLength(text), Number, text, least));

/** One length or several with their units, or 0: "40 mm", "2 × 15 mm", "15 mm + 12 mm". */
export const ReadsLengths = () => readsWith('readsLengths', (text) => parseLengths(text));

/** A mass with its unit: "250 g", "1 oz t". */
export const ReadsMass = (least: Least = {}) =>
  readsWith('readsMass', (text) => moreThanZero(parseMass(text), Number, text, least));

/** An amount with its currency: "12.50 USD". */
export const ReadsMoney = (least: Least = {}) =>
  readsWith(
    'readsMoney',
    (text) =>
      least.empty && text.trim() === ''
        ? ok(null)
        : moreThanZero(parseAmount(text), ({ money }) => money, text, least),
    { each: least.each ?? false },
  );

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

/** A number with at most two figures after the point, written as text: minutes, factors. */
export const ReadsNumber = (min: number, max: number) =>
  readsWith('readsNumber', (text) => {
    const value = plainNumber(text);
    return value >= min && value <= max
      ? ok(value)
      : refuse(`“${text.slice(0, 40)}” is not a number from ${min} to ${max}, like 12.5.`);
  });

/** Several such numbers. */
export const ReadsNumbers = (min: number, max: number) =>
  readsWith(
    'readsNumbers',
    (text) => {
      const value = plainNumber(text);
      return value >= min && value <= max
        ? ok(value)
        : refuse(`“${text.slice(0, 40)}” is not a number from ${min} to ${max}, like 4.5.`);
    },
    { each: true },
  );

/** The choice in a text that {@link ReadsOneOf} has passed. @throws RangeError for any other */
export function oneOf<T extends string>(choices: readonly T[], text: string): T {
  const found = choices.find((each) => each === text);
  if (found === undefined) throw new RangeError(`${text} is not one of ${choices.join(', ')}`);
  return found;
}

/** The number in a text that {@link ReadsNumber} or {@link ReadsWhole} has passed. */
export const numberOf = (text: string): number => plainNumber(text);

/** A name: something in it, not longer than `max`, on one line. */
export const ReadsName = (what: string, max = 120, { each = false }: Pick<Least, 'each'> = {}) =>
  readsWith(
    'readsName',
    (text) => {
      const length = text.trim().length;
      if (length === 0) return refuse(`Give ${what}.`);
      if (/[\u0000-\u001f\u007f]/.test(text))
        return refuse('A name goes on one line, without control characters.');
      return length <= max
        ? ok(text)
        : refuse(`This is ${length.toLocaleString('en-US')} characters long; ${max} are allowed.`);
    },
    { each },
  );

/** Text that may be empty, not longer than `max`. */
export const ReadsText = (max: number) =>
  readsWith('readsText', (text) =>
    text.length <= max
      ? ok(text)
      : refuse(`This is ${text.length.toLocaleString('en-US')} characters long; ${max} are allowed.`),
  );

/** One of a list. */
export const ReadsOneOf = (choices: readonly string[], what: string) =>
  readsWith('readsOneOf', (text) =>
    choices.includes(text) ? ok(text) : refuse(`Choose ${what}: ${choices.join(', ')}.`),
  );

/** A calendar day as a date field gives it, 2000 to tomorrow (somewhere it is tomorrow already). */
export const ReadsPastDay = () =>
  readsWith('readsPastDay', (text) => {
    const day = parseDay(text);
    if (!day) return refuse(`“${text.slice(0, 40)}” is not a day; write it like 2026-05-21.`);
    if (text < '2000-01-01') return refuse('This day is before 2000.');
    return day.valueOf() <= Date.now() + 86_400_000 ? ok(day) : refuse('This day is still to come.');
  });

/** A calendar day to come or past, or nothing. */
export const ReadsDayOrNone = () =>
  readsWith('readsDayOrNone', (text) => {
    if (text === '') return ok(null);
    const day = parseDay(text);
    return day && text >= '2000-01-01' && text < '2100-01-01'
      ? ok(day)
      : refuse(`“${text.slice(0, 40)}” is not a day from 2000 to 2099; write it like 2026-05-21.`);
  });

/** The name of a time zone: "Pacific/Auckland". */
export const ReadsZone = () =>
  readsWith('readsZone', (text) =>
    isZone(text)
      ? ok(text)
      : refuse(`“${text.slice(0, 60)}” is not a time zone; choose one of the list, like Pacific/Auckland.`),
  );

/** A field whose meaning depends on others of the same form. */
export const ReadsBy = <Form extends object>(
  name: string,
  read: (text: string, form: Form) => Result<unknown>,
) => readsWith(name, (text, whole) => read(text, whole as Form));
