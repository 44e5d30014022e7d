/**
 * An expected outcome that may be a refusal. Refusals are values, not exceptions: their message is a sentence a maker
 * understands, saying what was given and what is allowed.
 */
export type Result<T, E = string> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E };

/** A success carrying `value`. */
export const ok = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });

/** A refusal carrying `error`. */
export const refuse = <E = string>(error: E): { readonly ok: false; readonly error: E } => ({
  ok: false,
  error,
});

/**
 * The value of a result that cannot be a refusal here.
 * @throws Error with the refusal's text, when it is one after all
 */
export function expectOk<T, E>(result: Result<T, E>): T {
  if (!result.ok)
    throw new Error(typeof result.error === 'string' ? result.error : JSON.stringify(result.error));
  return result.value;
}
