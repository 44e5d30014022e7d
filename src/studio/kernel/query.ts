import type { ClassConstructor } from 'class-transformer';
import { IsOptional, isUUID } from 'class-validator';
import { readSoFar } from './readInput';
import type { Reads, ValuesOf } from './typed';
import { ReadsBy, ReadsOneOf, ReadsText, ReadsWhole } from './rules';
import { isDay } from '@/core/calendar/day';
import { ok, refuse } from '@/core/result';

/** Signs that nobody types and the database does not take. */
const CONTROL = /[\u0000-\u001f\u007f]/g;

/** Text of an address without signs that nobody types. */
export const plainText = (text: string): string => text.replace(CONTROL, '');

/** What stands behind the question mark of an address: texts by name, and lists of what was given more than once. */
export type Asked = Readonly<Record<string, string | string[] | undefined>>;

/**
 * Reads what an address asks as its input class. An address has no field to show a sentence beside: what cannot be read, was given twice
 * or is no field of the class counts as not asked, and never as an error.
 * @param Query every field of it may be left out
 * @returns only what was asked and can be read
 */
export function readQuery<T extends object>(Query: ClassConstructor<T>, asked: Asked): ValuesOf<T> {
  const texts = Object.entries(asked).flatMap(([name, value]): [string, string][] => {
    const text = typeof value === 'string' ? plainText(value) : '';
    return text === '' ? [] : [[name, text]];
  });
  return readSoFar(Query, Object.fromEntries(texts)) as ValuesOf<T>;
}

/** A field of an address that may be left out. */
const asks =
  <Value>(rule: Reads<Value>): Reads<Value> =>
  (target, name) => {
    IsOptional()(target, name);
    rule(target, name);
  };

/** Text that somebody types, or that the page before has given. */
export const AsksText = (most = 200) => asks(ReadsText(most));

/** One of a list. */
export const AsksOneOf = <Choice extends string>(choices: readonly Choice[]) =>
  asks(ReadsOneOf(choices, 'one'));

/** A whole number. */
export const AsksWhole = (least: number, most: number) => asks(ReadsWhole(least, most));

/** A calendar day. */
export const AsksDay = () =>
  asks(ReadsBy('readsDay', (text) => (isDay(text) ? ok(text) : refuse(`“${text}” is not a day.`))));

/** The id of something in the database. */
export const AsksId = () =>
  asks(ReadsBy('readsId', (text) => (isUUID(text) ? ok(text) : refuse(`“${text}” is not an id.`))));

/** What is asked of a list. */
export class ListQuery {
  /** Words of a name, or the number on a tag. */
  @AsksText() readonly words?: string | undefined;
  /** One of the list's ways of sorting; the first when it is none of them. */
  @AsksText(40) readonly sort?: string | undefined;
  /** Where the page before ended. */
  @AsksText(450) readonly after?: string | undefined;
}
