/** How some figures lie. */
export interface Spread {
  /** Half of them are less. */
  readonly middle: number;
  readonly least: number;
  readonly most: number;
  readonly count: number;
}

/**
 * How figures lie: their median, and the two that lie furthest from one another.
 * @returns undefined for none
 * @example spreadOf([3, 1, 8, 2]) // { middle: 2.5, least: 1, most: 8, count: 4 }
 */
export function spreadOf(figures: readonly number[]): Spread | undefined {
  const sorted = figures.toSorted((one, other) => one - other);
  const half = (sorted.length - 1) / 2;
  const [low, high] = [sorted[Math.floor(half)], sorted[Math.ceil(half)]];
  const [least, most] = [sorted[0], sorted.at(-1)];
  return low === undefined || high === undefined || least === undefined || most === undefined
    ? undefined
    : { middle: (low + high) / 2, least, most, count: sorted.length };
}
