import { minor, type MinorUnits } from './money';

/**
 * Shares an amount out in whole minor units so that the shares sum to it exactly: each gets the whole part of its share, and those with
 * the largest remainders one unit more (largest remainder method, after Hamilton; of equal remainders the first).
 * @param weights one for each share, zero or more
 * @throws RangeError when a weight is negative, or nothing weighs anything though there is something to share
 * @example shareOut(minor(100), [1, 1, 1]) // [34, 33, 33]
 */
export function shareOut(total: MinorUnits, weights: readonly number[]): MinorUnits[] {
  if (weights.some((weight) => !(weight >= 0) || !Number.isSafeInteger(weight)))
    throw new RangeError('weights are whole numbers, zero or more');
  const all = weights.reduce((sum, weight) => sum + BigInt(weight), 0n);
  if (all === 0n) {
    if (total === 0) return weights.map(() => minor(0));
    throw new RangeError(`${total} cannot be shared out by nothing`);
  }
  const whole = weights.map((weight) => (BigInt(total) * BigInt(weight)) / all);
  const remainder = weights.map((weight) => (BigInt(total) * BigInt(weight)) % all);
  const left = Number(BigInt(total) - whole.reduce((sum, each) => sum + each, 0n));
  const byRemainder = weights
    .map((_, index) => index)
    .sort(
      (a, b) =>
        Number((remainder[b] ?? 0n) > (remainder[a] ?? 0n)) -
        Number((remainder[b] ?? 0n) < (remainder[a] ?? 0n)),
    );
  const lucky = new Set(byRemainder.slice(0, left));
  return whole.map((each, index) => minor(Number(each) + (lucky.has(index) ? 1 : 0)));
}
