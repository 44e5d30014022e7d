import { splitPrice, type PriceBasis, type SellingTerms } from '../costing/price';
import { roundToEnding, type PriceEndings } from '../costing/rounding';
import { mulDiv } from '../units/exact';
import { COST_UNITS_PER_MINOR, minor, sumCosts, type CostUnits, type MinorUnits } from '../units/money';
import { BASIS, type BasisPoints } from '../units/percent';
import { METAL_IDS, type MetalId } from '../wire/metal';

/** What a piece takes at today’s prices, and what it sells for. */
export interface CostedPiece {
  readonly number: number;
  /** Its wire by metal, with what of it is scrapped and spoiled on the average. */
  readonly wire: Readonly<Partial<Record<MetalId, CostUnits>>>;
  readonly stones: CostUnits;
  /** Findings, and what every piece uses up. */
  readonly rest: CostUnits;
  readonly minutes: number;
  /** On its tag, or what it was sold for. */
  readonly price: MinorUnits;
}

/** What is supposed: parts of what is so today, in hundredths of a percent, and rates. */
export interface Supposed {
  readonly metals: Readonly<Record<MetalId, BasisPoints>>;
  readonly stones: BasisPoints;
  /** A faster step: so much of the minutes. */
  readonly minutes: BasisPoints;
  readonly prices: BasisPoints;
  readonly hourlyRate: MinorUnits;
  readonly overheadPerHour: MinorUnits;
  readonly feePercent: BasisPoints;
}

/** The studio’s own numbers that something is supposed instead of. */
export interface OfToday extends SellingTerms, PriceEndings {
  readonly hourlyRate: MinorUnits;
  readonly overheadPerHour: MinorUnits;
}

/** Everything as it is today. */
export const asToday = ({ hourlyRate, overheadPerHour, feePercent }: OfToday): Supposed => ({
  metals: Object.fromEntries(METAL_IDS.map((metal) => [metal, BASIS])) as Record<MetalId, BasisPoints>,
  stones: BASIS,
  minutes: BASIS,
  prices: BASIS,
  hourlyRate,
  overheadPerHour,
  feePercent,
});

/** What a piece comes to under what is supposed, in minor units, not rounded. */
export interface PieceOutcome {
  readonly price: MinorUnits;
  readonly materials: number;
  /** Materials, hours and overhead. */
  readonly cost: number;
  /** After tax and fees, less what it costs. */
  readonly profit: number;
  /** What an hour earned; null where no time was logged. */
  readonly perHour: number | null;
  /** Whether what is left of the price does not even pay the materials. */
  readonly isUnderMaterials: boolean;
}

/** What a piece has to cover at today’s prices and rates. */
export function basisToday(
  { wire, stones, rest, minutes }: Omit<CostedPiece, 'number' | 'price'>,
  { hourlyRate, overheadPerHour }: Pick<OfToday, 'hourlyRate' | 'overheadPerHour'>,
): PriceBasis {
  const hours = minutes / 60;
  return {
    materials: sumCosts([...Object.values(wire), stones, rest]) / COST_UNITS_PER_MINOR,
    labour: hours * hourlyRate,
    overhead: hours * overheadPerHour,
    hours,
  };
}

const part = (amount: number, of: BasisPoints): number => (amount * of) / BASIS;

/** @param today whose tax and endings hold, whatever else is supposed */
export function outcomeOf(piece: CostedPiece, supposed: Supposed, today: OfToday): PieceOutcome {
  const { metals, stones, minutes, prices, hourlyRate, overheadPerHour, feePercent } = supposed;
  const wire = Object.entries(piece.wire).reduce(
    (sum, [metal, cost]) => sum + part(cost, metals[metal as MetalId]),
    0,
  );
  const materials = (wire + part(piece.stones, stones) + piece.rest) / COST_UNITS_PER_MINOR;
  const hours = part(piece.minutes, minutes) / 60;
  const price =
    prices === BASIS ? piece.price : roundToEnding(minor(mulDiv(piece.price, prices, BASIS)), today);
  const basis = { materials, labour: hours * hourlyRate, overhead: hours * overheadPerHour, hours };
  const split = splitPrice(price, basis, { ...today, feePercent });
  return {
    price,
    materials,
    cost: materials + basis.labour + basis.overhead,
    profit: split.profit,
    perHour: split.perHour,
    isUnderMaterials: split.profit + basis.labour + basis.overhead < 0,
  };
}

/** What a change does to all pieces on the shelf, and to what a month sells. */
export interface Effect {
  /** Numbers of those that sell under cost, the dearest loss first; those among them that did not before; and those that do not any more. */
  readonly under: readonly number[];
  readonly falls: readonly number[];
  readonly rises: readonly number[];
  readonly underMaterials: readonly number[];
  /** What all of the shelf leaves over its cost, in minor units. */
  readonly shelf: number;
  /** What the pieces that a month sells leave over their cost. */
  readonly month: number;
}

/** What is looked at: the shelf, and what was sold in so many months. */
export interface Looked {
  readonly shelf: readonly CostedPiece[];
  readonly sold: readonly CostedPiece[];
  readonly months: number;
}

/**
 * What would be if something were otherwise: of the shelf what falls under cost, and of what a month sells what it leaves.
 */
export function whatIf({ shelf, sold, months }: Looked, supposed: Supposed, today: OfToday): Effect {
  const now = asToday(today);
  const looked = shelf.map((piece) => ({
    number: piece.number,
    before: outcomeOf(piece, now, today),
    after: outcomeOf(piece, supposed, today),
  }));
  const numbers = (some: typeof looked): number[] => some.map(({ number }) => number);
  const under = looked
    .filter(({ after }) => after.profit < 0)
    .toSorted((one, other) => one.after.profit - other.after.profit);
  const left = (pieces: readonly CostedPiece[]): number =>
    pieces.reduce((sum, piece) => sum + outcomeOf(piece, supposed, today).profit, 0);
  return {
    under: numbers(under),
    falls: numbers(under.filter(({ before }) => before.profit >= 0)),
    rises: numbers(looked.filter(({ before, after }) => before.profit < 0 && after.profit >= 0)),
    underMaterials: numbers(under.filter(({ after }) => after.isUnderMaterials)),
    shelf: looked.reduce((sum, { after }) => sum + after.profit, 0),
    month: months > 0 ? left(sold) / months : 0,
  };
}
