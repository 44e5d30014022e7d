import type { WantedCut } from '../pattern/pattern';
import { roundedUpToCut, sumLengths, um, type LengthSystem, type Micrometres } from '../units/length';
import {
  decideCut,
  lengthFor,
  likelyNeeds,
  weigh,
  type CutCosts,
  type CutNeed,
  type LikelyNeeds,
  type Weighing,
} from './cutLength';
import { estimate, type Entry, type Estimate, type Prior } from './estimate';

/** A wire of a piece as it was planned and as it came out. */
export interface WireMade {
  /** The making that it was cut for; several wires of one making are one entry. */
  readonly making: string;
  /** Length to cut, as planned, and what of it was to be trimmed off again. */
  readonly planned: Micrometres;
  readonly tails: Micrometres;
  /** What was really cut, and what of it came back. */
  readonly cut: Micrometres;
  readonly back: Micrometres;
  /** Days since. */
  readonly age: number;
}

/**
 * How makings lie about what is planned before anything is logged: a hand takes 4 % more or less. The house's choice, by what
 * handbooks say of tension and of bends that are not quite where they were drawn.
 */
export const USUAL_NET: Prior = { value: 0, deviation: 0.04 };

/**
 * What was made, as entries to learn from: the natural logarithm of what stayed in the piece over what was planned to. All wires of one
 * making are one entry; a wire of which nothing stayed tells nothing.
 */
export function netEntries(wires: readonly WireMade[]): Entry[] {
  const makings = new Map<string, { stayed: number; planned: number; age: number }>();
  for (const { making, planned, tails, cut, back, age } of wires) {
    const sum = makings.get(making) ?? { stayed: 0, planned: 0, age };
    makings.set(making, {
      stayed: sum.stayed + cut - back,
      planned: sum.planned + planned - tails,
      age,
    });
  }
  return [...makings.values()].flatMap(({ stayed, planned, age }) =>
    stayed > 0 && planned > 0 ? [{ value: Math.log(stayed / planned), age }] : [],
  );
}

/** What was learned of a wire of a pattern, for one maker. */
export interface WireLearned extends Estimate {
  /** Makings of this pattern by this maker that it comes from. */
  readonly own: number;
  /** Makings of other patterns with the same work, or by others. */
  readonly others: number;
}

/**
 * What is learned of a wire: from one's own makings of the pattern, drawn toward what others and other patterns took for the same work,
 * and those toward what is planned. Nothing while nothing is logged.
 * @param fixed what somebody said in place of what the log says
 */
export function learnWire(
  own: readonly WireMade[],
  others: readonly WireMade[],
  fixed: number | null = null,
): WireLearned | undefined {
  const [mine, theirs] = [netEntries(own), netEntries(others)];
  if (mine.length + theirs.length === 0 && fixed === null) return undefined;
  const learned = estimate(mine, estimate(theirs, USUAL_NET));
  return { ...learned, value: fixed ?? learned.value, own: mine.length, others: theirs.length };
}

/** How long to cut a wire, by what was learned. */
export interface CutProposal {
  readonly length: Micrometres;
  /** How likely it is enough. */
  readonly sure: number;
  /** How likely the planned length is. */
  readonly plannedSure: number;
  /** How much more of it than planned stays in the piece, as a part: 0.04 of 4 % more. */
  readonly more: number;
  /** How far makings lie from that, of what stays. */
  readonly deviation: Micrometres;
  /** Whether it is so long only for what is trimmed off to be long enough to keep. */
  readonly leavesUseful: boolean;
  /** Lengths that are enough with some certainties, from less sure to surer. */
  readonly sureLengths: readonly { readonly sure: number; readonly length: Micrometres }[];
  /** What lengths would come to, from short to long. */
  readonly curve: readonly Weighing[];
}

/** Certainties that a maker may ask for instead. */
const CERTAINTIES = [0.9, 0.95, 0.99] as const;

/** So many lengths of a curve are drawn. */
const DRAWN = 40;

const STEP: Readonly<Record<LengthSystem, number>> = { mm: 1, in: 25.4 / 16 };

const needFor = ({ length, tails }: Pick<WantedCut, 'length' | 'tails'>, ratio: Estimate): CutNeed => {
  const tail = tails.at(-1) ?? 0;
  return {
    net: (length - sumLengths(tails)) / 1000,
    tail: tail / 1000,
    fixed: (sumLengths(tails) - tail) / 1000,
    ratio,
  };
};

/**
 * How long to cut a wire: where running short and cutting too long cost least together; and as sure as may be asked for instead.
 */
export function proposeLength(
  cut: Pick<WantedCut, 'length' | 'tails'>,
  learned: Estimate,
  costs: CutCosts,
  system: LengthSystem,
): CutProposal {
  const need = needFor(cut, learned);
  const { best } = decideCut(need, costs, STEP[system]);
  const roundedUp = (mm: number): Micrometres => roundedUpToCut(um(Math.round(mm * 1000)), system);
  const length = roundedUp(best.length);
  const needs = likelyNeeds(need);
  const sureOf = (of: Micrometres): number => weigh(of / 1000, needs, need.tail, costs).sure;
  const stays = need.net * Math.exp(learned.value);
  // What would be best if nothing that is left over could be used again.
  const scrapped = roundedUp(
    decideCut(need, { ...costs, usefulMinimum: Infinity }, STEP[system]).best.length,
  );
  const isUseful = (of: Micrometres): boolean => of / 1000 - stays - need.fixed >= costs.usefulMinimum;
  return {
    length,
    sure: sureOf(length),
    plannedSure: sureOf(cut.length),
    more: Math.expm1(learned.value),
    deviation: um(Math.round(stays * learned.deviation * 1000)),
    leavesUseful: length > scrapped && isUseful(length),
    sureLengths: CERTAINTIES.map((sure) => ({ sure, length: roundedUp(lengthFor(need, sure)) })),
    curve: drawnCurve(need, needs, costs, Math.max(best.length, lengthFor(need, 0.995))),
  };
}

/**
 * What should come back of a wire that is cut to another length than planned, when as much of it stays in the piece as was learned: the end
 * that is trimmed last takes up the difference.
 * @param more how much more of it than planned stays, as a part
 * @returns the last to a whole millimetre: nobody tells it finer
 * @example backOf({ length: um(120_000), tails: [um(20_000)] }, um(130_000), 0.04) // [26_000]
 */
export function backOf(
  { length: planned, tails }: Pick<WantedCut, 'length' | 'tails'>,
  cut: Micrometres,
  more: number,
): Micrometres[] {
  const stays = (planned - sumLengths(tails)) * (1 + more);
  const others = tails.slice(0, -1);
  const last = um(Math.max(0, Math.round((cut - stays - sumLengths(others)) / 1000) * 1000));
  return [...others, last].filter((each) => each > 0);
}

/** What lengths would come to, from what is hardly ever enough to a little beyond another. */
function drawnCurve(need: CutNeed, needs: readonly LikelyNeeds[], costs: CutCosts, upTo: number): Weighing[] {
  const from = lengthFor(need, 0.05);
  const to = upTo + (upTo - from) / 8;
  return Array.from({ length: DRAWN }, (_, index) =>
    weigh(from + ((to - from) * index) / (DRAWN - 1), needs, need.tail, costs),
  );
}
