/**
 * How much larger or smaller rings come out than they are made for.
 * @param drift in US sizes
 * @example sayDrift(-0.3) // '0.3 US sizes smaller than wanted'
 * @example sayDrift(0.02) // 'as they are wanted'
 */
export function sayDrift(drift: number): string {
  if (Math.abs(drift) < 0.05) return 'as they are wanted';
  return `${Math.abs(drift).toFixed(1)} US sizes ${drift > 0 ? 'larger' : 'smaller'} than wanted`;
}

const QUARTERS = ['', 'a quarter of a size', 'half a size', 'three quarters of a size', 'a whole size'];

/**
 * What they are begun at instead, to a quarter of a size; nothing when that is less than half a quarter.
 * @example begunAt(-0.3) // 'a quarter of a size larger'
 * @example begunAt(0.1) // ''
 */
export function begunAt(drift: number): string {
  const quarters = Math.round(Math.abs(drift) * 4);
  if (quarters === 0) return '';
  return `${QUARTERS[quarters] ?? `${quarters / 4} sizes`} ${drift > 0 ? 'smaller' : 'larger'}`;
}
