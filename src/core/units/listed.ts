/**
 * Several as they are read: "a, b and c"; nothing of none.
 * @example listed(['copper', 'brass', 'bronze']) // 'copper, brass and bronze'
 */
export const listed = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');
