import type { Micrometres } from '../units/length';
import { planOf, type CuttingPlan, type CuttingProblem } from './problem';
import { proposeCuts } from './propose';

/** The plan of a careful maker by eye, see {@link proposeCuts}: what any better plan is measured against. */
export function bestFit(problem: CuttingProblem): CuttingPlan {
  const demands = problem.cuts.flatMap(({ length, count }) =>
    Array.from({ length: count }, () => ({ specId: '', length })),
  );
  const stock = problem.stock.map((piece) => ({ ...piece, specId: '' }));
  const { from } = proposeCuts(demands, stock);
  const cut = new Map<string, Micrometres[]>();
  demands.forEach(({ length }, index) => {
    const id = from[index];
    if (id === null || id === undefined) return;
    const cuts = cut.get(id);
    if (cuts) cuts.push(length);
    else cut.set(id, [length]);
  });
  return planOf(problem, cut);
}
