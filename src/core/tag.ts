/** Letters before the numbers that are written on tags. */
export const TAG_LETTERS = {
  wire: 'W',
  bead: 'B',
  stone: 'S',
  finding: 'H',
  supply: 'C',
  scrap: 'J',
  pattern: 'P',
  piece: 'F',
  count: 'T',
  batch: 'R',
  delivery: 'D',
  sale: 'N',
  order: 'Q',
  payment: 'M',
} as const;
export type Tagged = keyof typeof TAG_LETTERS;

/** "W-0042": what stands on a tag, and in the address of its page. */
export const tag = (kind: Tagged, number: number): string =>
  `${TAG_LETTERS[kind]}-${String(number).padStart(4, '0')}`;

/** The number on a tag ("W-0042", "w42"), when it is one of this kind. */
export function numberOnTag(kind: Tagged, text: string): number | undefined {
  const match = /^([a-z])-?0*(\d{1,8})$/i.exec(text.trim());
  if (!match || match[1]?.toUpperCase() !== TAG_LETTERS[kind]) return undefined;
  return Number(match[2]);
}

/** Where the pages of tagged things are. */
export const TAG_PATHS: Readonly<Record<Tagged, string>> = {
  wire: '/rack',
  bead: '/beads',
  stone: '/stones',
  finding: '/findings',
  supply: '/supplies',
  scrap: '/jars',
  pattern: '/patterns',
  piece: '/shelf',
  count: '/counts',
  batch: '/batches',
  delivery: '/deliveries',
  sale: '/sales',
  order: '/orders',
  payment: '/payments',
};

/** Address of the page of a tagged thing. */
export const pathOf = (kind: Tagged, number: number): string => `${TAG_PATHS[kind]}/${tag(kind, number)}`;

/** What a text is the tag of, as a scanner types it: "W-0042"; undefined when it is no tag. */
export function readTag(text: string): { readonly kind: Tagged; readonly number: number } | undefined {
  for (const kind of Object.keys(TAG_LETTERS) as Tagged[]) {
    const number = numberOnTag(kind, text);
    if (number !== undefined) return { kind, number };
  }
  return undefined;
}
