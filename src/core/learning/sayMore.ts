/**
 * How much more or less than planned something takes, in words.
 * @param more as a part of what is planned: 0.04 of 4 % more
 * @example sayMore(0.04) // '4 % more than planned'
 * @example sayMore(-0.002) // 'as much as planned'
 */
export function sayMore(more: number): string {
  const percent = Math.round(Math.abs(more) * 100);
  if (percent === 0) return 'as much as planned';
  return `${percent} % ${more > 0 ? 'more' : 'less'} than planned`;
}
