import type { Micrometres } from '../units/length';
import { planOf, type CuttingPlan, type CuttingProblem } from './problem';
import { proposeCounts } from './propose';

/** The plan of a careful maker by eye, see {@link proposeCounts}: what any better plan is measured against. */
export function bestFit(problem: CuttingProblem): CuttingPlan {
  const { from } = proposeCounts(
    problem.cuts.map((cut) => ({ ...cut, specId: '' })),
    problem.stock.map((piece) => ({ ...piece, specId: '' })),
  );
  const cut = new Map<string, Micrometres[]>();
  from.forEach((taken, index) => {
    const { length } = problem.cuts[index] ?? {};
    if (length === undefined) return;
    for (const { id, count } of taken) {
      const own = cut.get(id) ?? [];
      cut.set(id, own);
      for (let each = 0; each < count; each += 1) own.push(length);
    }
  });
  return planOf(problem, cut);
}
