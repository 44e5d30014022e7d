import type { CutType } from './patterns';
import { weightOfUnmet, worthOf, type CuttingProblem } from './problem';

/**
 * What any plan costs at least, by the wire alone: as if cuts could be taken in parts off the stock that loses least for each
 * micrometre, and what exceeds all stock were left out at the longest cut's weight. It needs no linear programme, so there is a
 * bound however short the time.
 *
 * @returns micrometres of wire on a spool, see {@link objectiveOf}
 */
export function materialBound(problem: CuttingProblem, types: readonly CutType[]): number {
  const shortest = Math.min(...types.map(({ length }) => length));
  const longest = Math.max(...types.map(({ length }) => length));
  const lots = problem.stock
    .filter(({ length }) => length >= shortest)
    .map(({ length, isOffCut }) => ({ length, rate: lossRate(length, isOffCut, shortest, problem) }))
    .sort((a, b) => a.rate - b.rate);
  let left = types.reduce((sum, { length, count }) => sum + length * count, 0);
  let bound = 0;
  for (const { length, rate } of lots) {
    const taken = Math.min(left, length);
    bound += rate * taken;
    left -= taken;
  }
  return bound + left * (weightOfUnmet(longest, problem) / longest);
}

/**
 * What a piece is worth less for each micrometre that is cut from it, at least: all of it cut, the rest kept, or, where scrap is
 * worth nearly as much as wire, as little cut as makes scrap of the rest.
 */
function lossRate(length: number, isOffCut: boolean, shortest: number, problem: CuttingProblem): number {
  const { usefulMinimum, worth } = problem;
  const whole = worthOf(length, isOffCut, problem);
  if (length < usefulMinimum) return worth.scrap;
  const asScrap = (cut: number) => (whole - worth.scrap * (length - cut)) / cut;
  const least = Math.max(shortest, length - usefulMinimum);
  return Math.min(whole / length, asScrap(least), isOffCut ? worth.offCut : 1);
}
