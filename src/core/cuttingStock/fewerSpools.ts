import { sumLengths, type Micrometres } from '../units/length';
import { objectiveOf, planOf, type CuttingPlan, type CuttingProblem } from './problem';

/** What is cut from one spool, and what is free of it. */
interface Begun {
  readonly id: string;
  readonly length: Micrometres;
  cuts: readonly Micrometres[];
}

const leftOn = ({ length, cuts }: Begun): number => length - sumLengths(cuts);

/**
 * The same cuts from fewer spools, where that costs nothing: it is all one to the wire whether two spools are begun or one, but not to
 * the hand that fetches them.
 */
export function fewerSpools(problem: CuttingProblem, plan: CuttingPlan): CuttingPlan {
  const cut = new Map(plan.pieces.map(({ id, cuts }) => [id, cuts]));
  let best = plan;
  let objective = objectiveOf(problem, plan);
  const spools = (): Begun[] =>
    problem.stock.flatMap(({ id, length, isOffCut }) => {
      const cuts = cut.get(id);
      return isOffCut || cuts === undefined ? [] : [{ id, length, cuts }];
    });
  for (const spool of spools().sort((a, b) => sumLengths(a.cuts) - sumLengths(b.cuts))) {
    const moved = movedOnto(
      spool.cuts,
      spools().filter(({ id }) => id !== spool.id),
    );
    if (!moved) continue;
    const tried = new Map(cut);
    tried.delete(spool.id);
    for (const { id, cuts } of moved) tried.set(id, cuts);
    const without = planOf(problem, tried);
    const costs = objectiveOf(problem, without);
    if (costs > objective) continue;
    cut.clear();
    for (const [id, cuts] of tried) cut.set(id, cuts);
    [best, objective] = [without, costs];
  }
  return best;
}

/** Other spools with cuts moved onto them, each onto the one that has least left of those it fits; undefined when one fits on none. */
function movedOnto(cuts: readonly Micrometres[], others: readonly Begun[]): readonly Begun[] | undefined {
  const onto = others.map((each) => ({ ...each }));
  for (const cut of cuts) {
    const [fit] = onto.filter((each) => leftOn(each) >= cut).sort((a, b) => leftOn(a) - leftOn(b));
    if (!fit) return undefined;
    fit.cuts = [...fit.cuts, cut];
  }
  return onto;
}
