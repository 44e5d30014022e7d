import { studentTAt } from './studentT';

/** One thing that was measured or reckoned when something was made. */
export interface Entry {
  readonly value: number;
  /** How many days ago. */
  readonly age: number;
}

/** What is taken for true before anything is logged, and how firmly. */
export interface Prior {
  readonly value: number;
  /** How far makings usually lie from it. */
  readonly deviation: number;
}

/**
 * How much the default counts beside what is logged: the value as much as one making, its deviation as much as four. So few entries move a
 * default by half at once, and the spread of two that happen to be alike is not taken for certainty. The house's choice.
 */
export const PRIOR_MAKINGS = 1;
const PRIOR_FREEDOM = 4;

/** Days after which an entry counts half. The house's choice: a hand changes in about a year. */
export const HALF_LIFE = 365;

/** From how many deviations on an entry counts less: as the square of how much further away it is. */
const WILD = 2.5;

/**
 * Of normal errors, how much a median tells of what a mean would (2/π), and a median absolute deviation of what a standard deviation would
 * (0.37). Source: Rousseeuw and Croux, “Alternatives to the Median Absolute Deviation”, 1993.
 */
const MEDIAN_TELLS = 2 / Math.PI;
const DEVIATION_TELLS = 0.37;
/** Makes the median absolute deviation of normal errors their standard deviation (ibid.). */
const TO_SIGMA = 1.4826;
/** The median absolute deviation of few entries is too small by this factor, of 2 to 9 of them (Croux and Rousseeuw, 1992; from memory). */
const OF_FEW = [1.196, 1.495, 1.363, 1.206, 1.2, 1.14, 1.129, 1.107];
const ofFew = (count: number): number => OF_FEW[count - 2] ?? (count > 9 ? count / (count - 0.8) : 1);

/** What the studio has learned of one quantity. */
export interface Estimate {
  /** What the next one is expected to be. */
  readonly value: number;
  /** How far makings lie from it, as a standard deviation would say. */
  readonly deviation: number;
  /** Of what the next one will be: its scale and degrees of freedom (Student's t distribution about the value). */
  readonly scale: number;
  readonly freedom: number;
  /** How many entries it comes from, whatever they count. */
  readonly count: number;
  /** Entries that lie far from the others and count less, by their place among those given. */
  readonly wild: readonly number[];
}

interface Weighed {
  readonly value: number;
  readonly weight: number;
}

/**
 * The value that half of the weight lies below, between the middles of the two next to it: so a little weight more or less moves it a
 * little. Of equal weights it is the usual median.
 */
function median(entries: readonly Weighed[]): number {
  const sorted = [...entries].sort((one, other) => one.value - other.value || one.weight - other.weight);
  const half = sorted.reduce((sum, { weight }) => sum + weight, 0) / 2;
  let below = 0;
  let last: { readonly value: number; readonly at: number } | undefined;
  for (const { value, weight } of sorted) {
    const at = below + weight / 2;
    if (at >= half)
      return last ? last.value + ((value - last.value) * (half - last.at)) / (at - last.at) : value;
    below += weight;
    last = { value, at };
  }
  return last?.value ?? 0;
}

/** How far entries lie from a value, as a standard deviation would say; nothing of a single one. */
function spread(entries: readonly Weighed[], about: number): number {
  if (entries.length < 2) return 0;
  const away = entries.map(({ value, weight }) => ({ value: Math.abs(value - about), weight }));
  return TO_SIGMA * ofFew(entries.length) * median(away);
}

/**
 * What is learned from entries: their median, drawn toward the default while they are few. Older entries fade, wild ones are kept but count
 * little. The default and the entries are weighed as the mean and variance of normal errors would be (the normal-inverse-gamma rule, as in
 * Gelman et al., “Bayesian Data Analysis”, 3.3), with the median and the median absolute deviation in place of mean and deviation, each
 * for as many entries as it tells the truth of.
 * @example estimate([{ value: 3, age: 0 }], { value: 1, deviation: 1 }).count // 1
 */
export function estimate(entries: readonly Entry[], prior: Prior): Estimate {
  const fresh = entries.map(({ value, age }) => ({ value, weight: 0.5 ** (Math.max(0, age) / HALF_LIFE) }));
  const first = median(fresh);
  const usual = Math.max(spread(fresh, first), prior.deviation / 4);
  const away = (value: number): number => Math.abs(value - first) / usual;
  // Of two, nobody can say which is the wild one.
  const canBeWild = entries.length > 2;
  const weighed = fresh.map(({ value, weight }) => ({
    value,
    weight: canBeWild ? weight * Math.min(1, (WILD / away(value)) ** 2) : weight,
  }));
  const counts = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const middle = counts > 0 ? median(weighed) : prior.value;
  const own = spread(weighed, middle);

  const tells = MEDIAN_TELLS * counts;
  const value = (PRIOR_MAKINGS * prior.value + tells * middle) / (PRIOR_MAKINGS + tells);
  const ownFreedom = DEVIATION_TELLS * Math.max(0, counts - 1);
  const between = ((PRIOR_MAKINGS * tells) / (PRIOR_MAKINGS + tells)) * (middle - prior.value) ** 2;
  const freedom = PRIOR_FREEDOM + ownFreedom + Math.min(1, counts);
  const variance = (PRIOR_FREEDOM * prior.deviation ** 2 + ownFreedom * own ** 2 + between) / freedom;
  return {
    value,
    deviation: Math.sqrt(variance),
    scale: Math.sqrt(variance * (1 + 1 / (PRIOR_MAKINGS + tells))),
    freedom,
    count: entries.length,
    wild: canBeWild ? fresh.flatMap((each, index) => (away(each.value) > 2 * WILD ? [index] : [])) : [],
  };
}

/**
 * What the next one will not go beyond, with a probability.
 * @param probability more than 0 and less than 1
 * @example quantile(estimate([], { value: 1, deviation: 0.1 }), 0.5) // 1
 */
export const quantile = (
  { value, scale, freedom }: Pick<Estimate, 'value' | 'scale' | 'freedom'>,
  probability: number,
): number => value + scale * studentTAt(probability, freedom);
