/** What a piece cost in wire that stayed in it, and in wire that was lost on the way. */
export interface WireSpent {
  readonly wire: number;
  readonly spoiled: number;
}

/** Until so many pieces are made, half of what they lost counts as bad luck. The house's choice. */
const PRIOR_PIECES = 5;

/**
 * What is lost on the way for each piece that is made, as a part of what its wire costs: part of the price of the honest average piece
 * (handbook of the trade, 10). It is a mean, not a median: what is lost comes seldom, and costs all at once. While few pieces are made it is drawn
 * toward nothing.
 * @param pieces the latest ones
 * @example learnSpoilage([]) // 0
 */
export function learnSpoilage(pieces: readonly WireSpent[]): number {
  const wire = pieces.reduce((sum, each) => sum + each.wire, 0);
  const spoiled = pieces.reduce((sum, each) => sum + each.spoiled, 0);
  return wire > 0 ? (spoiled / wire) * (pieces.length / (pieces.length + PRIOR_PIECES)) : 0;
}
