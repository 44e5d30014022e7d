/** A clock that is far from the last posting. */
export interface ClockDoubt {
  readonly clock: Date;
  readonly lastPosting: Date;
  readonly is: 'behind' | 'ahead';
}

const HOUR_MS = 3_600_000;
/** Two computers may differ by this much. */
const BEHIND_MS = HOUR_MS;
/** A studio may rest this long. */
const AHEAD_MS = 180 * 24 * HOUR_MS;

/**
 * Whether a clock is to be doubted.
 * @returns undefined while it is no more than an hour before the last posting and no more than half a year after it
 * @example clockDoubt(new Date('2026-01-01'), new Date('2026-03-01'))?.is // 'behind'
 */
export function clockDoubt(clock: Date, lastPosting: Date): ClockDoubt | undefined {
  const after = clock.valueOf() - lastPosting.valueOf();
  if (after < -BEHIND_MS) return { clock, lastPosting, is: 'behind' };
  return after > AHEAD_MS ? { clock, lastPosting, is: 'ahead' } : undefined;
}
