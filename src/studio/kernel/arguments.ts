import { isUUID } from 'class-validator';

/**
 * One argument of something that a browser asks for. What a page of the house sends is of its type; what anybody else sends may be
 * anything, so it is read like everything that comes from outside.
 * @returns undefined for what cannot be read
 */
export type Argument<T> = (given: unknown) => T | undefined;

const LARGEST_NUMBER = 2_000_000_000;

/** The key that a form is posted under. */
export const aKey: Argument<string> = (given) => (isUUID(given) ? String(given) : undefined);
/** The id of something in the database. */
export const anId = aKey;

/** The number of something tagged. */
export const aNumber: Argument<number> = (given) =>
  typeof given === 'number' && Number.isInteger(given) && given >= 0 && given <= LARGEST_NUMBER
    ? given
    : undefined;

export const aFlag: Argument<boolean> = (given) => (typeof given === 'boolean' ? given : undefined);

/** A text that is not longer than so much. */
export const aText =
  (most: number): Argument<string> =>
  (given) =>
    typeof given === 'string' && given.length <= most ? given : undefined;

export const anyOf =
  <T extends string>(choices: readonly T[]): Argument<T> =>
  (given) =>
    choices.find((each) => each === given);

/** What a form sends: the use case's input class looks at what is in it. */
export const aForm =
  <T extends object>(): Argument<T> =>
  (given) =>
    typeof given === 'object' && given !== null && !Array.isArray(given) ? (given as T) : undefined;

export const orNull =
  <T>(read: Argument<T>): Argument<T | null> =>
  (given) =>
    given === null || given === undefined ? null : read(given);

export const aList =
  <T>(read: Argument<T>, most: number): Argument<readonly T[]> =>
  (given) => {
    if (!Array.isArray(given) || given.length > most) return undefined;
    const all = given.map(read);
    return all.some((each) => each === undefined) ? undefined : (all as T[]);
  };

/** Something with fields of its own; what else it has is left out. */
export const aRecord =
  <T extends object>(fields: { readonly [K in keyof T]-?: Argument<T[K]> }): Argument<T> =>
  (given) => {
    if (typeof given !== 'object' || given === null || Array.isArray(given)) return undefined;
    const read = Object.entries<Argument<unknown>>(fields).map(
      ([name, reads]) => [name, reads((given as Record<string, unknown>)[name])] as const,
    );
    return read.some(([, value]) => value === undefined)
      ? undefined
      : (Object.fromEntries(read) as unknown as T);
  };

/** Something by names that are not known beforehand. */
export const aMap =
  <T>(read: Argument<T>, most: number): Argument<Readonly<Record<string, T>>> =>
  (given) => {
    if (typeof given !== 'object' || given === null || Array.isArray(given)) return undefined;
    const entries = Object.entries(given).map(([name, value]) => [name, read(value)] as const);
    return entries.length > most || entries.some(([, value]) => value === undefined)
      ? undefined
      : (Object.fromEntries(entries) as Record<string, T>);
  };

/**
 * Reads all arguments in their order; what is there beyond them is not looked at.
 * @returns undefined when one of them cannot be read
 */
export function readArguments<Args extends readonly unknown[]>(
  wanted: { readonly [K in keyof Args]: Argument<Args[K]> },
  given: readonly unknown[],
): Args | undefined {
  const read = wanted.map((each: Argument<unknown>, index) => each(given[index]));
  return read.includes(undefined) ? undefined : (read as unknown as Args);
}
