/** How often a pattern was made. */
export const madeSaid = (count: number): string =>
  count === 0 ? 'not made yet' : count === 1 ? 'made once' : `made ${count} times`;
