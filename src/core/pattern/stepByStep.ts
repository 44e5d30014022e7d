import type { Plan } from '../technique/technique';
import { afterSteps } from './afterSteps';
import { stepsOf } from './bodyOf';
import { drawnParts, type DrawnPart } from './drawnParts';
import type { PatternStep } from './pattern';
import type { Resolved, ResolvedStep } from './resolve';

/** A step of the work as one goes through it. */
export interface WorkedStep extends PatternStep {
  /** What it is done to: the ends and wires that it takes up, and wires that are cut for it. */
  readonly inHand: readonly string[];
  /** Minutes of all steps before it. */
  readonly minutesBefore: number;
  /** The piece when it is done; none while nothing of it can be seen, and for steps that were written by hand. */
  readonly seen?: { readonly part: DrawnPart; readonly plan: Plan };
}

/** Steps with how long all before each take. */
const timed = <S extends PatternStep>(
  steps: readonly S[],
): readonly (S & { readonly minutesBefore: number })[] => {
  let minutesBefore = 0;
  return steps.map((step) => {
    const at = { ...step, minutesBefore };
    minutesBefore += step.minutes;
    return at;
  });
};

/** Steps that were written by hand, as one goes through them: without pictures. */
export const writtenSteps = (steps: readonly PatternStep[]): readonly WorkedStep[] =>
  timed(steps.map((step) => ({ ...step, inHand: [] })));

/** What a step is done to. */
function inHandOf({ use }: ResolvedStep, { uses, cuts }: Resolved): readonly string[] {
  const resolved = uses.find((each) => each.use === use);
  if (!resolved) return [];
  const taken = Object.values(resolved.use.takes)
    .flat()
    .flatMap((ref) => resolved.offered.find((offer) => offer.ref === ref)?.label ?? []);
  const cut = cuts
    .filter((each) => each.use === use)
    .map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name));
  return [...taken, ...cut];
}

/**
 * The order of work of a pattern, one step at a time: with what is in hand, and the piece as it is when the step is done. A step that changes
 * nothing of what is seen, and one of the maker’s own, shows the piece as it was.
 */
export function stepByStep(resolved: Resolved): readonly WorkedStep[] {
  const parts = drawnParts(resolved);
  const stages = new Map(
    parts.flatMap((part) => afterSteps(part).map(({ id, plan }) => [id, { part, plan }] as const)),
  );
  const latest = new Map<string, WorkedStep['seen']>();
  let last: DrawnPart | undefined;
  const texts = stepsOf(resolved);
  return timed(
    resolved.steps.flatMap((step, index) => {
      const text = texts[index];
      const part = parts.find(({ uses }) => uses.some(({ use }) => use === step.use)) ?? last;
      const stage = stages.get(step.id);
      if (stage) latest.set(stage.part.id, stage);
      last = part;
      const seen = part && latest.get(part.id);
      return text ? [{ ...text, inHand: inHandOf(step, resolved), ...(seen ? { seen } : {}) }] : [];
    }),
  );
}
