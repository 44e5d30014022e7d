import { Chance } from '../chance';
import { PRIOR_MAKINGS, type Prior } from './estimate';
import { USUAL_TIME } from './minutes';

/** So many pieces that are to be made still. */
export interface PiecesAhead {
  readonly count: number;
  /** Minutes of each, as they are planned. */
  readonly planned: number;
  /** What makings like them took over what was planned for those, of the studio's own; none while nothing was timed. */
  readonly ratios: readonly number[];
  /** What is usual besides, by the same work in other patterns; as of any pattern when it is left out. */
  readonly usual?: Prior | undefined;
}

/** Work that is to be ready on a day. */
export interface WorkAhead {
  /** What is done once for all of it, minutes. */
  readonly setUp: number;
  readonly pieces: readonly PiecesAhead[];
  /** Minutes there are at the bench until it is due; null for what is due on no day. */
  readonly available: number | null;
}

/** Times that the weeks ahead are played through: enough to tell tenths apart, a standard error of 3 in 100 at most. */
const FUTURES = 250;
/** More pieces than these are drawn together: the sum of so many is normal. */
const MANY = 50;
/** The same every time. */
const SEED = 20_261_130;

/**
 * How likely each work is ready when it is due, when all is worked in the order given: the time ahead is played through many times, each piece
 * taking what a making of the studio’s own took, drawn again and again. While few were timed, some are drawn from what is usual instead, as often as
 * the default counts beside them: one making’s worth. In each future the makings that are known are drawn anew first (the Bayesian bootstrap’s idea:
 * Rubin, 1981), so that little knowledge shows as uncertainty of all pieces together and does not average out.
 * @returns from 0 to 1 for each; null for what is due on no day
 * @example readyChances([{ setUp: 10, pieces: [], available: 20 }]) // [1]
 */
export function readyChances(works: readonly WorkAhead[]): readonly (number | null)[] {
  const chance = new Chance(SEED);
  const inTime = works.map(() => 0);
  for (let future = 0; future < FUTURES; future += 1) {
    let minutes = 0;
    works.forEach(({ setUp, pieces, available }, index) => {
      minutes += setUp + pieces.reduce((sum, each) => sum + drawn(each, chance), 0);
      if (available !== null && minutes <= available) inTime[index] = (inTime[index] ?? 0) + 1;
    });
  }
  return works.map(({ available }, index) => (available === null ? null : (inTime[index] ?? 0) / FUTURES));
}

/** Minutes that some pieces take in one future. */
function drawn({ count, planned, ratios, usual = USUAL_TIME }: PiecesAhead, chance: Chance): number {
  const makings = ratios.length + PRIOR_MAKINGS;
  const known: number[] = [];
  while (known.length < makings)
    known.push(
      ratios.length === 0 || chance.happens(PRIOR_MAKINGS / makings)
        ? Math.exp(chance.normal(usual.value, usual.deviation))
        : chance.pick(ratios),
    );
  if (count > MANY) {
    const mean = known.reduce((sum, each) => sum + each, 0) / known.length;
    const variance = known.reduce((sum, each) => sum + (each - mean) ** 2, 0) / known.length;
    return Math.max(0, planned * chance.normal(count * mean, Math.sqrt(count * variance)));
  }
  let minutes = 0;
  for (let piece = 0; piece < count; piece += 1) minutes += planned * chance.pick(known);
  return minutes;
}
