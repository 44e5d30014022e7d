import { quantile, type Estimate } from './estimate';
import { studentT, studentTAt } from './studentT';

/** What it costs to have cut too short or too long; lengths in mm, costs in any one unit. */
export interface CutCosts {
  /** Of a millimetre of the wire. */
  readonly wire: number;
  /** Got back for a millimetre in the jar. */
  readonly scrap: number;
  /** What a millimetre that goes back to stock as an off-cut is worth of one on the spool, 0 to 1. */
  readonly offCutWorth: number;
  /** From which length on what is left over goes back to stock; infinite where nothing does. */
  readonly usefulMinimum: number;
  /** What it costs to keep an off-cut at all, however long. */
  readonly keeping: number;
  /** Besides the wire: minutes that are lost, and what has to be undone. */
  readonly undone: number;
}

/** What one cut takes: as planned, and how makings lie about it. */
export interface CutNeed {
  /** What stays in the piece, as planned. */
  readonly net: number;
  /** What is trimmed off again at the end that is trimmed last: it is needed to hold on to. */
  readonly tail: number;
  /** What else is cut with it and does not vary. */
  readonly fixed: number;
  /** The natural logarithm of what really stayed in a piece over what was planned. */
  readonly ratio: Pick<Estimate, 'value' | 'scale' | 'freedom'>;
}

/** What a length comes to, on the average of what may happen. */
export interface Weighing {
  readonly length: number;
  /** How likely it is enough. */
  readonly sure: number;
  /** What running short costs, times how likely that is. */
  readonly short: number;
  /** What is left over costs, beyond what is got back for it. */
  readonly long: number;
}

/** A range of lengths that a cut may take, mm, each as likely as the next; and how likely it is one of them. */
export interface LikelyNeeds {
  readonly from: number;
  readonly to: number;
  readonly probability: number;
}

const needOf = ({ net, tail, fixed }: CutNeed, ratio: number): number => net * Math.exp(ratio) + tail + fixed;

/** How finely what may happen is told apart: in so many ranges to each side of what is expected, finer near it. */
const RANGES = 100;
/** What is rarer, to each side, counts to the last range: what is rare may cost much, so it is little. */
const RAREST = 2e-5;
/** Where the ranges end, as parts of the furthest. */
const ENDS = Array.from({ length: RANGES }, (_, index) => {
  const part = (index + 1) / RANGES;
  return 0.3 * part + 0.7 * part ** 3;
});

/**
 * What a cut may take, from short to long; the probabilities sum to 1.
 * @example likelyNeeds({ net: 100, tail: 20, fixed: 0, ratio: { value: 0, scale: 0, freedom: 5 } })[0]?.from // 120
 */
export function likelyNeeds(need: CutNeed): readonly LikelyNeeds[] {
  const { value, scale, freedom } = need.ratio;
  const furthest = studentTAt(1 - RAREST, freedom);
  const ends = ENDS.map((part) => part * furthest);
  const beyond = ends.map((t, index) => (index === RANGES - 1 ? 0 : 1 - studentT(t, freedom)));
  const lengthAt = (t: number): number => needOf(need, value + scale * t);
  const side = (sign: 1 | -1): LikelyNeeds[] =>
    ends.map((end, index) => {
      const start = ends[index - 1] ?? 0;
      const [from, to] = sign > 0 ? [start, end] : [-end, -start];
      return {
        from: lengthAt(from),
        to: lengthAt(to),
        probability: (beyond[index - 1] ?? 0.5) - (beyond[index] ?? 0),
      };
    });
  return [...side(-1).reverse(), ...side(1)];
}

/**
 * The length that is enough with a probability; mm.
 * @param sure more than 0 and less than 1
 * @example lengthFor({ net: 100, tail: 20, fixed: 5, ratio: { value: 0, scale: 0.05, freedom: 5 } }, 0.5) // 125
 */
export const lengthFor = (need: CutNeed, sure: number): number => needOf(need, quantile(need.ratio, sure));

/**
 * What cutting a length comes to.
 * @param length mm
 * @param tail what is trimmed off again at the end that is trimmed last, mm
 */
export function weigh(
  length: number,
  needs: readonly LikelyNeeds[],
  tail: number,
  { wire, scrap, offCutWorth, usefulMinimum, keeping, undone }: CutCosts,
): Weighing {
  let [sure, long] = [0, 0];
  for (const { from, to, probability } of needs) {
    if (length < from) break;
    const reached = Math.min(length, to);
    const likely = to > from ? (probability * (reached - from)) / (to - from) : probability;
    const left = tail + length - (from + reached) / 2;
    sure += likely;
    long +=
      likely * (left >= usefulMinimum ? left * wire * (1 - offCutWorth) + keeping : left * (wire - scrap));
  }
  // Who runs short loses the wire but for its scrap, and begins again with another.
  const short = Math.max(0, 1 - sure) * (length * (wire - scrap) + undone);
  return { length, sure, short, long };
}

/** How long to cut, and why. */
export interface CutDecision {
  /** What costs least on the average. */
  readonly best: Weighing;
  /** What lengths would come to, from short to long. */
  readonly curve: readonly Weighing[];
}

/** So many lengths are looked at, at most. */
const MOST = 1000;

/**
 * How long to cut: where what running short costs, times how likely that is, and what is left over cost least together. Where both costs
 * go by the length alone this is the newsvendor's quantile, P(enough) = cost short ÷ (cost short + cost long) (Arrow, Harris and Marschak,
 * “Optimal Inventory Policy”, Econometrica 1951); here running short costs the whole wire and what has to be undone, however little was missing.
 * @param step that lengths are whole multiples of, mm
 */
export function decideCut(need: CutNeed, costs: CutCosts, step: number): CutDecision {
  const needs = likelyNeeds(need);
  const first = Math.floor((needs[0]?.from ?? 0) / step);
  // Longer than any need only so that what is left over can be used again.
  const useful = Number.isFinite(costs.usefulMinimum) ? Math.max(0, costs.usefulMinimum - need.tail) : 0;
  const last = Math.ceil(((needs.at(-1)?.to ?? 0) + useful) / step);
  const stride = Math.ceil((last - first + 1) / MOST);
  const curve = Array.from({ length: Math.ceil((last - first + 1) / stride) }, (_, index) =>
    weigh((first + index * stride) * step, needs, need.tail, costs),
  );
  const cost = ({ short, long }: Weighing): number => short + long;
  return { best: curve.reduce((one, other) => (cost(other) < cost(one) ? other : one)), curve };
}
