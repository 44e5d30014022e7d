import type { Side } from '../piece/piece';
import type { RunPiece } from '../piece/run';
import { isActed } from '../technique/act';
import type { ActUse } from '../technique/joinActs';
import { planActs } from '../technique/planActs';
import { stagesOf } from '../plan/stages';
import type { Plan } from '../technique/technique';
import type { DrawnPart } from './drawnParts';
import type { Resolved, ResolvedStep, ResolvedUse } from './resolve';

/** A piece as it is when a step is done. */
export interface AfterStep {
  /** “use.step”. */
  readonly id: string;
  /** What it is drawn by. */
  readonly plan: Plan;
}

/**
 * A part of a pattern after every step that changes what is seen of it, in the order of its techniques: every technique as it is before the
 * next one bends it further. Empty for one that is drawn flat.
 */
export function afterSteps({ plan, uses }: DrawnPart): readonly AfterStep[] {
  const { run } = plan;
  if (!run) return [];
  const whole = lengthIn(run);
  let before: RunPiece = { wires: [], bodies: [] };
  return uses.flatMap((each, index) => {
    if (!each.plan) return [];
    const done = index === uses.length - 1 ? run : togetherSoFar(uses.slice(0, index + 1));
    // What cannot stand without what is done later has no picture of its own.
    if (!done) return [];
    const own = isActed(each.technique) ? `${each.use.id}.` : '';
    const stages = stagesOf({ steps: each.plan.steps, run: done, own, before: coursesIn(before), whole });
    before = done;
    return stages.map(({ step, run: then }) => ({
      id: `${each.use.id}.${step}`,
      plan: { ...plan, run: then },
    }));
  });
}

/** A piece as it is when a step of a pattern is done, and which step that is. */
export interface NumberedStep extends AfterStep {
  /** Its place in the order of the work, 1 for the first. */
  readonly number: number;
  readonly name: string;
}

/** A part of a pattern after every step that changes what is seen of it, by their numbers in the order of the work. */
export const afterStepsInOrder = (part: DrawnPart, steps: Resolved['steps']): readonly NumberedStep[] =>
  afterSteps(part)
    .flatMap((after): NumberedStep[] => {
      const at = steps.findIndex(({ id }) => id === after.id);
      return at < 0 ? [] : [{ ...after, number: at + 1, name: (steps[at] as ResolvedStep).name }];
    })
    .sort((a, b) => a.number - b.number);

/** The piece that the first techniques of it make without the others. */
function togetherSoFar(uses: readonly ResolvedUse[]): RunPiece | undefined {
  const acts = uses.flatMap(({ use: { id, name, takes }, technique, values }): ActUse[] =>
    isActed(technique) ? [{ id, name, takes, technique, values }] : [],
  );
  const last = acts.at(-1)?.id ?? '';
  const { pieces, uses: planned } = planActs(acts);
  if (planned.some((each) => !each.plan.ok)) return undefined;
  // What comes together only later lies in pieces of its own so far: the one that was worked on last is shown.
  return pieces.find((piece) => piece.uses.includes(last))?.run;
}

const lengthIn =
  ({ wires }: RunPiece) =>
  (wire: string, side: Side): number =>
    wires.find((each) => each.wire.id === wire)?.[side].reduce((sum, { length }) => sum + length, 0) ?? 0;

/** How many courses each hand had; that it goes straight on as far as something is wound on it is none of them. */
const coursesIn =
  ({ wires }: RunPiece) =>
  (wire: string, side: Side): number => {
    const courses = wires.find((each) => each.wire.id === wire)?.wire[side] ?? [];
    return courses.at(-1)?.kind === 'reaching' ? courses.length - 1 : courses.length;
  };
