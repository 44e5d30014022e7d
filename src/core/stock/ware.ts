/** Everything a stockroom keeps, in the order it is listed. */
export const WARES = ['wire', 'bead', 'stone', 'finding', 'supply', 'scrap'] as const;
export type Ware = (typeof WARES)[number];

/** Those that go into a piece by the piece. */
export const PART_WARES = ['bead', 'stone', 'finding'] as const satisfies readonly Ware[];

export const isPartWare = (ware: Ware): boolean => PART_WARES.some((each) => each === ware);

/** The physical things each ware is kept as. */
export const FORMS = {
  wire: ['spool', 'coil', 'bobbin', 'off-cut'],
  bead: ['strand', 'loose'],
  stone: ['stone'],
  finding: ['pack'],
  supply: ['pack'],
  scrap: ['jar'],
} as const satisfies Readonly<Record<Ware, readonly string[]>>;

export type StockForm = (typeof FORMS)[Ware][number];
export type WireForm = (typeof FORMS)['wire'][number];

/** How a ware is said, one and many. */
export const WARE_WORDS: Readonly<Record<Ware, { readonly one: string; readonly many: string }>> = {
  wire: { one: 'length of wire', many: 'wire' },
  bead: { one: 'beads', many: 'beads' },
  stone: { one: 'stone', many: 'stones' },
  finding: { one: 'findings', many: 'findings' },
  supply: { one: 'supply', many: 'supplies' },
  scrap: { one: 'scrap', many: 'scrap' },
};
