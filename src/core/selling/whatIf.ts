import { splitPrice, type PriceBasis, type SellingTerms } from '../costing/price';
import { roundToEnding, type PriceEndings } from '../costing/rounding';
import { mulDiv } from '../units/exact';
import { COST_UNITS_PER_MINOR, minor, sumCosts, type CostUnits, type MinorUnits } from '../units/money';
import { BASIS, type BasisPoints } from '../units/percent';
import { METAL_IDS, type MetalId } from '../wire/metal';

const part = (amount: number, of: BasisPoints): number => (amount * of) / BASIS;

/** What a piece takes at today’s prices, and what it sells for. */
export interface CostedPiece {
  readonly number: number;
  /** Number of its pattern. */
  readonly pattern: number;
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
  /** All work is faster: so much of the minutes. */
  readonly minutes: BasisPoints;
  /** One step of the work is: so much of its minutes, in every pattern that has it. None where nothing is said. */
  readonly step?: { readonly name: string; readonly part: BasisPoints } | null;
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
  step: null,
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
  { wire, stones, rest, minutes }: Pick<CostedPiece, 'wire' | 'stones' | 'rest' | 'minutes'>,
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

/** Of patterns by their numbers, which part of the minutes each step of their work takes, by its name. */
export type StepShares = Readonly<Record<number, Readonly<Record<string, number>>>>;
const NO_SHARES: StepShares = {};

/** What of its minutes a piece takes when one step is faster. */
function withStep({ pattern }: CostedPiece, { step }: Supposed, shares: StepShares): number {
  if (!step) return 1;
  const share = shares[pattern]?.[step.name] ?? 0;
  return 1 - share + part(share, step.part);
}

/**
 * @param today whose tax and endings hold, whatever else is supposed
 * @param shares which part of its minutes each step takes, for what is supposed of one
 */
export function outcomeOf(
  piece: CostedPiece,
  supposed: Supposed,
  today: OfToday,
  shares: StepShares = NO_SHARES,
): PieceOutcome {
  const { metals, stones, minutes, prices, hourlyRate, overheadPerHour, feePercent } = supposed;
  const wire = Object.entries(piece.wire).reduce(
    (sum, [metal, cost]) => sum + part(cost, metals[metal as MetalId]),
    0,
  );
  const materials = (wire + part(piece.stones, stones) + piece.rest) / COST_UNITS_PER_MINOR;
  const hours = (part(piece.minutes, minutes) * withStep(piece, supposed, shares)) / 60;
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
  /** Numbers of patterns of which a new piece would sell under cost, and of those among them that do not before. */
  readonly patternsUnder: readonly number[];
  readonly patternsFall: readonly number[];
  /** What all of the shelf leaves over its cost, in minor units. */
  readonly shelf: number;
  /** What the pieces that a month sells leave over their cost. */
  readonly month: number;
}

/** What is looked at: the shelf, what was sold in so many months, and one piece of each pattern as it would be made. */
export interface Looked {
  readonly shelf: readonly CostedPiece[];
  readonly sold: readonly CostedPiece[];
  readonly months: number;
  readonly patterns: readonly CostedPiece[];
  readonly shares: StepShares;
}

/** Pieces before and after, those that sell under cost then first, the dearest loss before the others. */
function compared(pieces: readonly CostedPiece[], supposed: Supposed, today: OfToday, shares: StepShares) {
  const now = asToday(today);
  const all = pieces.map((piece) => ({
    number: piece.number,
    before: outcomeOf(piece, now, today, shares),
    after: outcomeOf(piece, supposed, today, shares),
  }));
  const under = all
    .filter(({ after }) => after.profit < 0)
    .toSorted((one, other) => one.after.profit - other.after.profit);
  return { all, under, falls: under.filter(({ before }) => before.profit >= 0) };
}

/**
 * What would be if something were otherwise: of the shelf what falls under cost, and of what a month sells what it leaves.
 */
export function whatIf(
  { shelf, sold, months, patterns, shares }: Looked,
  supposed: Supposed,
  today: OfToday,
): Effect {
  const { all, under, falls } = compared(shelf, supposed, today, shares);
  const ofPatterns = compared(patterns, supposed, today, shares);
  const numbers = (some: typeof all): number[] => some.map(({ number }) => number);
  const left = (pieces: readonly CostedPiece[]): number =>
    pieces.reduce((sum, piece) => sum + outcomeOf(piece, supposed, today, shares).profit, 0);
  return {
    under: numbers(under),
    falls: numbers(falls),
    rises: numbers(all.filter(({ before, after }) => before.profit < 0 && after.profit >= 0)),
    underMaterials: numbers(under.filter(({ after }) => after.isUnderMaterials)),
    patternsUnder: numbers(ofPatterns.under),
    patternsFall: numbers(ofPatterns.falls),
    shelf: all.reduce((sum, { after }) => sum + after.profit, 0),
    month: months > 0 ? left(sold) / months : 0,
  };
}
