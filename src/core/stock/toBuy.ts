/** What open batches want of an article. */
export interface Wanted {
  readonly needed: number;
  /** What finds nothing to come from; of wire it may be more than what is missing, when lengths are too short to cut from. */
  readonly short: number;
}

/** How an article's stock stands against what it should be. */
export interface StockLevel {
  readonly minimumBy: 'none' | 'typed' | 'use';
  /** The typed minimum, in base units. */
  readonly minimum: number;
  /** What there is. */
  readonly quantity: number;
  /** What was taken over the last {@link USE_DAYS} days. */
  readonly used: number;
  /** What one buys at a time; nought for as much as last time. */
  readonly soldBy: number;
  /** What was bought last. */
  readonly lastBought: number;
  /** What batches that are planned want of it. */
  readonly wanted?: Wanted | undefined;
}

/** The days whose use tells what is needed. */
export const USE_DAYS = 90;

/** A minimum from use lasts this long: what was used in 90 days is what should be there for the next 30 (common practice). */
const COVER_DAYS = 30;

/** What to buy of an article. */
export interface ToBuy {
  readonly minimum: number;
  readonly short: number;
  /** Packs of {@link StockLevel.soldBy}, or of what was bought last. */
  readonly packs: number;
  readonly packOf: number;
  readonly quantity: number;
}

/** The least that should be there, by the article's own rule. */
export function minimumOf({
  minimumBy,
  minimum,
  used,
}: Pick<StockLevel, 'minimumBy' | 'minimum' | 'used'>): number {
  if (minimumBy === 'typed') return minimum;
  return minimumBy === 'use' ? Math.ceil((used * COVER_DAYS) / USE_DAYS) : 0;
}

/**
 * What is short of an article, of its minimum and of what batches want of it, and how much of it to buy, rounded up to how it is
 * sold; undefined when nothing is.
 */
export function toBuy(level: StockLevel): ToBuy | undefined {
  const minimum = minimumOf(level);
  const { needed = 0, short: missing = 0 } = level.wanted ?? {};
  const short = Math.max(minimum + needed - level.quantity, missing);
  if (short <= 0) return undefined;
  const packOf = level.soldBy > 0 ? level.soldBy : level.lastBought > 0 ? level.lastBought : short;
  const packs = Math.ceil(short / packOf);
  return { minimum, short, packs, packOf, quantity: packs * packOf };
}
