/** Values of a form by their field. */
export type Typed = Readonly<Record<string, unknown>>;

/** Fields that are never kept: secrets, and what says which state of things a form was opened on. */
const NOT_KEPT = /password|version|expected|token/i;

/** A form as this tab remembers it: as it opened, and as it was left, of the fields that were changed. */
type Kept = Readonly<Record<string, { readonly from: unknown; readonly to: unknown }>>;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The fields of a form that are other than when it opened, each with both. */
export function changedSince(opened: Typed, now: Typed): Kept {
  return Object.fromEntries(
    Object.entries(now)
      .filter(([field, value]) => field in opened && !NOT_KEPT.test(field) && !same(opened[field], value))
      .map(([field, value]) => [field, { from: opened[field], to: value }]),
  );
}

const isKept = (value: unknown): value is Kept =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).every((each) => typeof each === 'object' && each !== null && 'to' in each);

/**
 * What is to be put back into a form that opens: each field that was changed and that it still has, in the shape that it has it in.
 * @param text as this tab kept it; anything else is nothing
 */
export function readTyped(text: string | null, opened: Typed): Typed {
  try {
    const kept: unknown = JSON.parse(text ?? '{}');
    if (!isKept(kept)) return {};
    return Object.fromEntries(
      Object.entries(kept)
        .filter(
          ([field, { to }]) =>
            field in opened &&
            !NOT_KEPT.test(field) &&
            typeof to === typeof opened[field] &&
            Array.isArray(to) === Array.isArray(opened[field]) &&
            !same(to, opened[field]),
        )
        .map(([field, { to }]) => [field, to]),
    );
  } catch {
    return {};
  }
}
