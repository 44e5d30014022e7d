import type { FieldError, FieldErrors, FieldValues, Resolver } from 'react-hook-form';

const isError = (each: object): each is FieldError => 'type' in each && typeof each.type === 'string';

/** Of the errors below a path, those of fields that somebody has been in. */
function ofTouched(errors: object, path: string, isTouched: (path: string) => boolean): object | undefined {
  const kept = Object.entries(errors as Readonly<Record<string, unknown>>).flatMap(
    ([key, each]): [string, object][] => {
      if (typeof each !== 'object' || each === null) return [];
      const here = `${path}.${key}`;
      // The list's own error, that it is empty say, is told.
      if (isError(each)) return key === 'root' || isTouched(here) ? [[key, each]] : [];
      const below = ofTouched(each, here, isTouched);
      return below ? [[key, below]] : [];
    },
  );
  if (kept.length === 0) return undefined;
  if (!Array.isArray(errors)) return Object.fromEntries(kept);
  const list: object[] = [];
  for (const [key, each] of kept) Object.assign(list, { [key]: each });
  return list;
}

/**
 * A resolver that is gentle with new rows: adding a row to a list makes the whole list be read, and would mark every field of the row
 * as wrong before anybody could type. Only fields that somebody has been in are marked then; sending the form reads all of it.
 * @returns the resolver, and how it is told which fields somebody has been in; until then it marks all
 */
export function gentle<Values extends FieldValues>(
  strict: Resolver<Values>,
): { readonly resolver: Resolver<Values>; readonly follow: (isTouched: (path: string) => boolean) => void } {
  let isTouched = (_path: string): boolean => true;
  const resolver: Resolver<Values> = async (values, context, options) => {
    const result = await strict(values, context, options);
    const [name, ...others] = options.names ?? [];
    const errors = result.errors as Readonly<Record<string, object | undefined>>;
    if (name === undefined || others.length > 0) return result;
    const of = name
      .split('.')
      .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], values);
    const parts = name.split('.');
    const wrong = parts.reduce<unknown>(
      (at, key) => (at as Record<string, unknown> | undefined)?.[key],
      errors,
    );
    if (!Array.isArray(of) || typeof wrong !== 'object' || wrong === null || isError(wrong)) return result;
    const kept = ofTouched(wrong, name, isTouched);
    const nested = parts.reduceRight<unknown>(
      (inner, key) => (inner === undefined ? undefined : { [key]: inner }),
      kept,
    );
    return { values: {}, errors: (nested ?? {}) as FieldErrors<Values> };
  };
  return {
    resolver,
    follow: (told) => {
      isTouched = told;
    },
  };
}
