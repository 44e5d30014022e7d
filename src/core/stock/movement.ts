/** Kinds of movement that only ever add to a stock piece, only ever take from it, or do either. */
export const MOVEMENT_KINDS = {
  /** Bought. */
  received: 'in',
  /** There already when the books were opened, or brought in from a file. */
  opened: 'in',
  /** Came back from a cut as an off-cut. */
  returned: 'in',
  /** Made in the studio out of other stock. */
  made: 'in',
  /** Fell into the scrap jar. */
  jarred: 'in',
  /** Came out of a finished piece that was broken up. */
  salvaged: 'in',
  /** Cut for a finished piece or a made finding. */
  cut: 'out',
  /** Taken for a finished piece, or taken out by hand. */
  used: 'out',
  /** Too short to keep. */
  scrapped: 'out',
  /** Lost to a mistake. */
  spoiled: 'out',
  /** Sent to the refiner. */
  refined: 'out',
  /** Moved between two stock pieces of one kind: wound, cut off by hand, counted out. */
  split: 'both',
  /** Turned into twisted stock. */
  twisted: 'both',
  /** Found to be something else than was thought. */
  relabelled: 'both',
  /** Set right by the scale. */
  weighed: 'both',
  /** Set right by counting. */
  counted: 'both',
} as const satisfies Readonly<Record<string, 'in' | 'out' | 'both'>>;

export type MovementKind = keyof typeof MOVEMENT_KINDS;

export const MOVEMENT_KIND_LIST = Object.keys(MOVEMENT_KINDS) as readonly MovementKind[];
