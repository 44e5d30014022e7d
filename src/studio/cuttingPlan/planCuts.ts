import { solveCutting, type CuttingAnswer } from '@/core/cuttingStock/solve';
import type { CuttingProblem } from '@/core/cuttingStock/problem';
import { loadSolver } from '@/core/programme/programme';

/** Cuts of one spec to be planned, and how long that may take. */
export interface CutsAsked {
  readonly problem: CuttingProblem;
  readonly limitMs: number;
}

/** Plans cuts, see {@link solveCutting}. It keeps its thread until it is done. */
export async function planCuts(
  { problem, limitMs }: CutsAsked,
  { shouldStop }: { readonly shouldStop: () => boolean },
): Promise<CuttingAnswer> {
  const solver = await loadSolver();
  return solveCutting(problem, solver, { limitMs, clock: () => performance.now(), shouldStop });
}
