/**
 * What parts of patterns are told apart by: names that differ only in their capitals and spaces are one.
 * @example partKey(' Garnet  6 mm') // 'garnet 6 mm'
 */
export const partKey = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');
