import { tagFactor } from '../costing/price';
import { roundToEnding } from '../costing/rounding';
import { mulDiv } from '../units/exact';
import { minor, type MinorUnits } from '../units/money';
import { BASIS } from '../units/percent';
import { FEW } from './earned';
import { asToday, outcomeOf, type CostedPiece, type OfToday } from './whatIf';

/** A piece on the shelf, as its price is looked at. */
export interface ShelvedPiece extends CostedPiece {
  /** The number of its pattern. */
  readonly pattern: number;
  /** Since when it is to be had. */
  readonly days: number;
}

/** How soon pieces of a pattern were sold in the last year. */
export interface PatternSold {
  readonly pattern: number;
  readonly sold: number;
  /** From the bench to the buyer, all together. */
  readonly days: number;
}

/** Why a price is looked at: it does not pay what the piece costs today; pieces like it go at once; it stands and stands. */
export const REVIEW_REASONS = ['under cost', 'goes at once', 'stands'] as const;
export type ReviewReason = (typeof REVIEW_REASONS)[number];

/** Another price for a piece, and what it would leave more or less. */
export interface PriceProposal {
  readonly number: number;
  readonly reason: ReviewReason;
  readonly price: MinorUnits;
  readonly proposed: MinorUnits;
  /** What the piece leaves over its cost at the one and at the other, in minor units. */
  readonly leaves: number;
  readonly wouldLeave: number;
  /** How many like it were sold in the last year: of few little is known. */
  readonly sold: number;
  readonly days: number;
}

/** What stands for so long and for twice as long as is usual stands about. */
const [LONG_DAYS, TIMES_USUAL] = [90, 2];
/** What is sold in half of the usual time goes at once. */
const QUICK = 0.5;
/** So much a price is moved at a time; common practice is a tenth. */
const STEP = 1000;

/**
 * The lowest price that pays what a piece costs today, at one of the studio’s endings.
 * @returns null where fees and tax take all of a price
 */
export function payingPrice(piece: CostedPiece, today: OfToday): MinorUnits | null {
  const { cost } = outcomeOf(piece, asToday(today), today);
  const kept = 1 / tagFactor(today) - today.feePercent / BASIS;
  if (kept <= 0) return null;
  const least = minor(Math.max(1, Math.ceil((cost + today.feeFixed) / kept - 1e-6)));
  return roundToEnding(least, { ...today, rounding: 'up' });
}

/** A price moved by a step, at one of the studio’s endings. */
const moved = (price: MinorUnits, by: number, today: OfToday): MinorUnits =>
  roundToEnding(minor(mulDiv(price, BASIS + by, BASIS)), { ...today, rounding: 'nearest' });

/**
 * The prices on the shelf that are worth looking at, each with another one. Nothing is proposed below what a piece costs, and one reason is told of
 * each: the first that holds.
 * @param sold of the last year, by pattern
 * @returns those first that lose most, then those that go at once, then those that stand longest
 */
export function reviewPrices(
  shelf: readonly ShelvedPiece[],
  sold: readonly PatternSold[],
  today: OfToday,
): readonly PriceProposal[] {
  const all = sold.reduce((sum, each) => ({ sold: sum.sold + each.sold, days: sum.days + each.days }), {
    sold: 0,
    days: 0,
  });
  const usual = all.sold > 0 ? all.days / all.sold : LONG_DAYS;
  const byPattern = new Map(sold.map((each) => [each.pattern, each]));
  const now = asToday(today);
  const proposals = shelf.flatMap((piece): PriceProposal[] => {
    const like = byPattern.get(piece.pattern) ?? { pattern: piece.pattern, sold: 0, days: 0 };
    // Of few, what is usual for all tells more.
    const takes = (like.days + FEW * usual) / (like.sold + FEW);
    const least = payingPrice(piece, today);
    const { profit } = outcomeOf(piece, now, today);
    const propose = (reason: ReviewReason, proposed: MinorUnits): PriceProposal[] => [
      {
        ...{ number: piece.number, reason, price: piece.price, proposed, days: piece.days, sold: like.sold },
        leaves: profit,
        wouldLeave: outcomeOf({ ...piece, price: proposed }, now, today).profit,
      },
    ];
    if (profit < 0 && least !== null && least > piece.price) return propose('under cost', least);
    if (like.sold >= FEW && like.days / like.sold <= usual * QUICK) {
      const dearer = moved(piece.price, STEP, today);
      return dearer > piece.price ? propose('goes at once', dearer) : [];
    }
    if (piece.days >= LONG_DAYS && piece.days >= takes * TIMES_USUAL) {
      const cheaper = minor(Math.max(moved(piece.price, -STEP, today), least ?? 0));
      return cheaper < piece.price ? propose('stands', cheaper) : [];
    }
    return [];
  });
  const rank = ({ reason }: PriceProposal): number => REVIEW_REASONS.indexOf(reason);
  return proposals.toSorted(
    (one, other) =>
      rank(one) - rank(other) ||
      (one.reason === 'stands' ? other.days - one.days : one.leaves - other.leaves) ||
      one.number - other.number,
  );
}
