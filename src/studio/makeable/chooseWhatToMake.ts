import { whatCouldBeMade, type Makeable } from '@/core/batch/makeable';
import { type MakeableProblem } from '@/core/batch/makeableProblem';
import { loadSolver } from '@/core/programme/programme';

/** What there is to make something of, and how long the choice may take. */
export interface ChoiceAsked {
  readonly problem: MakeableProblem;
  readonly limitMs: number;
}

/** Chooses what to make, see {@link whatCouldBeMade}. It keeps its thread until it is done. */
export async function chooseWhatToMake({ problem, limitMs }: ChoiceAsked): Promise<Makeable> {
  return whatCouldBeMade(problem, await loadSolver(), { limitMs, clock: () => performance.now() });
}
