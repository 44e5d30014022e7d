import { plainToInstance, type ClassConstructor } from 'class-transformer';
import {
  getMetadataStorage,
  validate,
  validateSync,
  ValidationTypes,
  type ValidationError,
} from 'class-validator';
import { Refused } from './outcome';
import { takeRead } from './rules';
import type { ValuesOf } from './typed';

/** First sentence of every wrong field, by path. */
function fieldMessages(errors: readonly ValidationError[], path = ''): [string, string][] {
  return errors.flatMap((error) => {
    const here = path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).slice(0, 1);
    const said = own.map(([rule, message]): [string, string] => [
      here,
      rule === 'whitelistValidation' ? `There is no field “${error.property}” here.` : message,
    ]);
    return [...said, ...fieldMessages(error.children ?? [], here)];
  });
}

/**
 * Entries of lists that are lists themselves, or nothing at all, by path. The validator looks into a list for entries, finds none wrong,
 * and would let an empty one pass for an entry; where nothing stands it does not look.
 */
function noEntries(input: object, path = ''): string[] {
  const { constructor } = input;
  const nested = getMetadataStorage()
    .getTargetValidationMetadatas(constructor, '', false, false)
    .filter(({ type }) => type === ValidationTypes.NESTED_VALIDATION);
  return [...new Set(nested.map(({ propertyName }) => propertyName))].flatMap((name) => {
    const value: unknown = (input as Record<string, unknown>)[name];
    if (!Array.isArray(value)) return [];
    return value.flatMap((entry: unknown, index) => {
      const here = `${path}${name}.${index}`;
      if (Array.isArray(entry) || entry === undefined) return [here];
      return typeof entry === 'object' && entry !== null ? noEntries(entry, `${here}.`) : [];
    });
  });
}

/** Entries of the lists of something that was sent that are nothing, by path: what is made of it cannot ask them what they are. */
const nothings = (plain: object): string[] =>
  Object.entries(plain).flatMap(([name, value]: [string, unknown]) =>
    Array.isArray(value)
      ? value.flatMap((entry: unknown, index) =>
          entry === null || entry === undefined ? [`${name}.${index}`] : [],
        )
      : [],
  );

const NO_ENTRY = 'One entry belongs here, and not a list or nothing.';

const refusal = (fields: Readonly<Record<string, string>>): Refused | undefined => {
  const [first] = Object.values(fields);
  if (first === undefined) return undefined;
  const others = Object.keys(fields).length - 1;
  const message = others > 0 ? `${first} (and ${others} more marked below)` : first;
  return new Refused({ kind: 'invalid', message, fields });
};

/** What was read of every field, when the input was validated; what has no reader stays as it was sent. Nothing is as good as left out. */
const valuesIn = <T extends object>(input: T): ValuesOf<T> =>
  Object.fromEntries(
    Object.entries(input).flatMap(([name, sent]: [string, unknown]) => {
      if (sent === null || sent === undefined) return [];
      const read = takeRead(input, name);
      return [[name, read ? read.value : valueIn(sent)]];
    }),
  ) as ValuesOf<T>;

/** Whether something is no input class: what stands in it is for others to read. */
function isPlain(sent: object): boolean {
  const made: unknown = Object.getPrototypeOf(sent);
  return made === null || Object.getPrototypeOf(made) === null;
}

function valueIn(sent: unknown): unknown {
  if (Array.isArray(sent)) return sent.map(valueIn);
  return typeof sent === 'object' && sent !== null && !isPlain(sent) ? valuesIn(sent) : sent;
}

/**
 * Reads what of a form is typed rightly already: while somebody is typing, and of an address, which has no field to show a sentence
 * beside.
 * @returns the values of those fields that can be read
 */
export function readSoFar<T extends object>(Input: ClassConstructor<T>, plain: object): Partial<ValuesOf<T>> {
  const input = plainToInstance(Input, plain);
  const wrong = new Set(validateSync(input, { whitelist: true }).map(({ property }) => property));
  const read = Object.entries(valuesIn(input)).filter(
    ([name, value]) => value !== undefined && !wrong.has(name),
  );
  return Object.fromEntries(read) as Partial<ValuesOf<T>>;
}

/**
 * Reads what a form, a file or a program sent as an input class: unknown fields are refused, not ignored.
 * @returns the values that its texts were read as
 * @throws Refused with a sentence beside each wrong field
 */
export async function readInput<T extends object>(
  Input: ClassConstructor<T>,
  plain: unknown,
): Promise<ValuesOf<T>> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    throw new Refused({ kind: 'invalid', message: 'Nothing readable was sent.' });
  }
  const empty = refusal(Object.fromEntries(nothings(plain).map((at) => [at, NO_ENTRY])));
  if (empty) throw empty;
  const input = plainToInstance(Input, plain);
  const errors = await validate(input, {
    whitelist: true,
    forbidNonWhitelisted: true,
    stopAtFirstError: true,
  });
  const wrong = refusal(
    Object.fromEntries([
      ...noEntries(input).map((at): [string, string] => [at, NO_ENTRY]),
      ...fieldMessages(errors),
    ]),
  );
  if (wrong) throw wrong;
  return valuesIn(input);
}
