/** Every page that one goes to by name, in the order of the work: the places, the parts of each, and what can be done at once. */

/** A part of a place, with its address. */
export interface Part {
  readonly href: string;
  readonly name: string;
  readonly ownerOnly?: boolean;
  /** Its name where it stands alone, without its place around it; its name when left out. */
  readonly alone?: string;
}

/** A place in the studio. */
export interface Place extends Part {
  /** Its name where there is little room. */
  readonly short?: string;
  /** The key that goes there. */
  readonly key: string;
  readonly parts: readonly Part[];
}

/** Something that is begun on a page of its own. */
export interface Deed extends Part {
  /** The key that begins it. */
  readonly key?: string;
}

export const STOCKROOM: Place = {
  href: '/rack',
  name: 'Stockroom',
  short: 'Stock',
  key: '1',
  parts: [
    { href: '/stock', name: 'At a glance', alone: 'Stockroom at a glance' },
    { href: '/rack', name: 'Wire', alone: 'Wire rack' },
    { href: '/beads', name: 'Beads' },
    { href: '/stones', name: 'Stones' },
    { href: '/findings', name: 'Findings' },
    { href: '/supplies', name: 'Supplies' },
    { href: '/jars', name: 'Scrap jars' },
    { href: '/fit', name: 'Fit', alone: 'Fit: which wire passes which hole' },
    { href: '/counts', name: 'Counting' },
    { href: '/to-buy', name: 'To buy' },
    { href: '/deliveries', name: 'Deliveries', ownerOnly: true },
    { href: '/labels', name: 'Labels' },
    { href: '/ledger', name: 'Ledger' },
    { href: '/metal', name: 'Metal prices', ownerOnly: true },
    { href: '/lists', name: 'In and out', alone: 'Lists in and out', ownerOnly: true },
  ],
};

export const PATTERN_ROOM: Place = {
  href: '/patterns',
  name: 'Pattern room',
  short: 'Patterns',
  key: '2',
  parts: [
    { href: '/patterns', name: 'Patterns', alone: 'Pattern room' },
    { href: '/fitting', name: 'Fitting', alone: 'Fitting: which patterns suit a stone' },
    { href: '/how-much', name: 'How much wire', alone: 'How much wire it takes' },
  ],
};

export const SHELF: Place = {
  href: '/shelf',
  name: 'Shelf',
  key: '5',
  parts: [
    { href: '/shelf', name: 'Pieces', alone: 'Shelf' },
    { href: '/selling', name: 'Sell' },
    { href: '/stall', name: 'At the stall' },
    { href: '/sales', name: 'Sales' },
    { href: '/orders', name: 'Orders', ownerOnly: true },
    { href: '/shops', name: 'At shops', ownerOnly: true },
    { href: '/prices', name: 'Prices', alone: 'Prices of the whole shelf', ownerOnly: true },
    { href: '/earned', name: 'What it earned', ownerOnly: true },
    { href: '/customers', name: 'Customers', ownerOnly: true },
    { href: '/channels', name: 'Where you sell', ownerOnly: true },
  ],
};

export const PLACES: readonly Place[] = [
  STOCKROOM,
  PATTERN_ROOM,
  {
    href: '/batches',
    name: 'Batches',
    key: '3',
    parts: [
      { href: '/batches/makeable', name: 'What could I make?' },
      { href: '/batches/hours', name: 'Bench hours: what will be ready' },
    ],
  },
  { href: '/bench', name: 'Bench', key: '4', parts: [] },
  SHELF,
  { href: '/logbook', name: 'Logbook', short: 'Log', key: '6', parts: [] },
  {
    href: '/rules',
    name: 'House rules',
    short: 'Rules',
    key: '7',
    ownerOnly: true,
    parts: [{ href: '/rules/programs', name: 'Programs and tokens', ownerOnly: true }],
  },
];

export const DEEDS: readonly Deed[] = [
  { href: '/how-much', name: 'How much wire does it take?', key: 'q' },
  { href: '/rack/receive', name: 'Receive wire', key: 'r', ownerOnly: true },
  { href: '/beads/receive', name: 'Receive beads', ownerOnly: true },
  { href: '/stones/receive', name: 'Receive a stone', ownerOnly: true },
  { href: '/findings/receive', name: 'Receive findings', ownerOnly: true },
  { href: '/supplies/receive', name: 'Receive a supply', ownerOnly: true },
  { href: '/deliveries/new', name: 'Receive a delivery', key: 'd', ownerOnly: true },
  { href: '/findings/make', name: 'Make findings' },
  { href: '/patterns/compose', name: 'Compose a pattern', ownerOnly: true },
  { href: '/patterns/new', name: 'Write a new pattern', key: 'n', ownerOnly: true },
  { href: '/patterns/starters', name: 'Take a starter pattern', ownerOnly: true },
  { href: '/batches/new', name: 'Plan a batch' },
  { href: '/bench', name: 'Make a piece at the bench' },
  { href: '/selling', name: 'Sell pieces' },
  { href: '/orders/new', name: 'Write a quote', ownerOnly: true },
  { href: '/orders/sheet', name: 'Make a line sheet', ownerOnly: true },
  { href: '/account', name: 'Change password' },
];

/** Those that somebody may go to. */
export const openTo = <T extends Part>(isOwner: boolean, parts: readonly T[]): readonly T[] =>
  parts.filter(({ ownerOnly }) => isOwner || !ownerOnly);

/** Everything that is found by its name: each page once as somewhere to go, and once as something to do. */
export function placesByName(
  isOwner: boolean,
): readonly { readonly is: 'go' | 'do'; readonly name: string; readonly href: string }[] {
  const goes = PLACES.flatMap((place) => [
    ...(place.parts.some(({ href }) => href === place.href) ? [] : [place]),
    ...place.parts,
  ]);
  return [
    ...openTo(isOwner, DEEDS).map(({ name, href }) => ({ is: 'do' as const, name, href })),
    ...openTo(isOwner, goes).map(({ name, alone = name, href }) => ({
      is: 'go' as const,
      name: alone,
      href,
    })),
  ];
}

/** Whether a page belongs to a place: one of its parts, or below one. */
export const isWithin = (path: string, { href, parts }: Place): boolean =>
  [href, ...parts.map((part) => part.href)].some((each) => path === each || path.startsWith(`${each}/`));
