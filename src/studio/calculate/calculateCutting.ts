import type { CuttingProblem, Leftover } from '@/core/cuttingStock/problem';
import { USUAL_WORTH } from '@/core/cuttingStock/problem';
import { mm } from '@/core/units/length';
import { PLAN_CUTS } from '../cuttingPlan/jobs';
import { runJob, type AskedBy } from '../jobs/runJob';
import type { CuttingInput } from './calculate.input';
import { invalid, Refused } from '../kernel/outcome';

/** How long a plan may take when nothing is said. */
const USUAL_LIMIT_MS = 5_000;

/** Cuts of one plan, all lengths together. */
const MOST_CUTS = 20_000;

const LEFT: Readonly<Record<Leftover, string>> = { spool: 'spool', 'off-cut': 'offcut', scrap: 'scrap' };

/** Plans the cuts of one spec for a program; lengths in mm, the objective in mm of wire on a spool. */
export async function calculateCutting(input: CuttingInput, asked: AskedBy) {
  const { stock, cuts, usefulMinimumMm, timeLimitMs = USUAL_LIMIT_MS } = input;
  const seen = new Set<string>();
  stock.forEach(({ id }, index) => {
    if (seen.has(id)) {
      const message = `“${id}” is the id of two stock pieces; each has one of its own.`;
      throw new Refused({ kind: 'invalid', message, fields: { [`stock.${index}.id`]: message } });
    }
    seen.add(id);
  });
  const problem: CuttingProblem = {
    cuts: cuts.map(({ lengthMm, count }) => ({ length: mm(lengthMm), count })),
    stock: stock.map(({ id, lengthMm, kind }) => ({ id, length: mm(lengthMm), isOffCut: kind === 'offcut' })),
    usefulMinimum: mm(usefulMinimumMm),
    worth: USUAL_WORTH,
  };
  const wanted = cuts.reduce((sum, { count }) => sum + count, 0);
  if (wanted > MOST_CUTS)
    throw invalid('cuts', `${wanted} cuts are asked for; a plan takes ${MOST_CUTS} at most.`);
  const { plan, waste, objective, bound, gap, optimal, method, byEye } = await runJob(
    PLAN_CUTS,
    { problem, limitMs: timeLimitMs },
    asked,
  );
  return {
    plan: plan.pieces.map((piece) => ({
      stockId: piece.id,
      cutsMm: piece.cuts.map(inMm),
      leftoverMm: inMm(piece.left),
      leftoverIs: LEFT[piece.leftIs],
    })),
    unmet: plan.unmet.map(({ length, count }) => ({ lengthMm: inMm(length), count })),
    wasteMm: inMm(waste),
    objective: inMm(objective),
    bound: inMm(bound),
    gap,
    optimal,
    method,
    byEye: { wasteMm: inMm(byEye.waste), objective: inMm(byEye.objective) },
  };
}

const inMm = (length: number): number => Number((length / 1000).toFixed(6));
