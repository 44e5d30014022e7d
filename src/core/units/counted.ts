/** So many of something, in its number: "1 band", "2 bands". @example counted(2, 'band') // '2 bands' */
export const counted = (count: number | string, one: string, many = `${one}s`): string =>
  `${count} ${Number(count) === 1 ? one : many}`;
