/**
 * How much more or less than planned something takes, in words.
 * @param more as a part of what is planned: 0.04 of 4 % more
 * @example sayMore(0.04) // '4\u00a0% more'
 * @example sayMore(-0.002) // 'as much'
 */
export function sayMore(more: number): string {
  const percent = Math.round(Math.abs(more) * 100);
  if (percent === 0) return 'as much';
  return `${percent}\u00a0% ${more > 0 ? 'more' : 'less'}`;
}

/**
 * The same, of a plan.
 * @example sayMoreThanPlanned(0) // 'as much as planned'
 */
export const sayMoreThanPlanned = (more: number): string => {
  const text = sayMore(more);
  return text === 'as much' ? `${text} as planned` : `${text} than planned`;
};
