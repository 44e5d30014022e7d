/**
 * Whole-number arithmetic that never passes through a binary fraction. Costs times lengths overrun 2^53, so the
 * products are taken as big integers and only the quotient comes back as a number.
 */

/** A non-negative fraction of two whole numbers, kept exactly. */
export interface Ratio {
  readonly over: bigint;
  readonly under: bigint;
}

/**
 * Quotient rounded to the nearest whole number, halves away from zero.
 * @throws RangeError when `under` is not positive
 * @example divideRounded(7n, 2n) // 4n
 */
export function divideRounded(over: bigint, under: bigint): bigint {
  if (under <= 0n) throw new RangeError('divideRounded needs a positive divisor');
  const magnitude = over < 0n ? -over : over;
  const rounded = (2n * magnitude + under) / (2n * under);
  return over < 0n ? -rounded : rounded;
}

/**
 * `a × b / c` for whole numbers, rounded to the nearest whole number, halves away from zero.
 * @example mulDiv(1000, 1, 3) // 333
 * @throws RangeError when an argument is not a whole number or `c` is not positive
 */
export function mulDiv(a: number, b: number, c: number): number {
  return Number(divideRounded(BigInt(a) * BigInt(b), BigInt(c)));
}

/**
 * Digits of a plain decimal ("12.05") as an exact ratio; the text must already be known to be one.
 * @example decimalRatio('12.05').under // 100n
 */
export function decimalRatio(text: string): Ratio {
  const [whole = '', fraction = ''] = text.split('.');
  return { over: BigInt(`${whole}${fraction}` || '0'), under: 10n ** BigInt(fraction.length) };
}
