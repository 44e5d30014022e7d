import { lengthOfPath } from '../geometry/path';
import { distance3 } from '../geometry/vec3';
import type { RunPiece, RunWire } from '../piece/run';
import { pieceOf, type Told } from '../../../tests/support/acts';
import { isActed } from '../technique/act';
import { TECHNIQUES } from '../techniques/registry';
import { stagesOf, type Stage } from './stages';
import { initialPlan, type Plan } from '../technique/technique';

const longOf = (wire: RunWire | undefined, side: 'first' | 'second'): number =>
  wire?.[side].reduce((sum, { length }) => sum + length, 0) ?? 0;

const wireIn = ({ wires }: RunPiece, id: string): RunWire | undefined =>
  wires.find(({ wire }) => wire.id === id);

const stagesAlone = (plan: Plan, run: RunPiece, own: string): readonly Stage[] =>
  stagesOf({
    steps: plan.steps,
    run,
    own,
    before: () => 0,
    whole: (wire, side) => longOf(wireIn(run, wire), side),
  });

const alone = TECHNIQUES.flatMap((technique) => {
  const plan = initialPlan(technique);
  return plan.ok && plan.value.run
    ? [{ id: technique.id, plan: plan.value, run: plan.value.run, own: isActed(technique) ? 'a.' : '' }]
    : [];
});

describe.each(alone)('$id, step by step', ({ plan, run, own }) => {
  const stages = stagesAlone(plan, run, own);

  it('names nothing that it does not make', () => {
    const names = [
      ...run.wires.flatMap(({ wire, first, second }) => [
        wire.name,
        ...[...first, ...second].flatMap(({ name, course }) => [name, course?.id ?? name]),
      ]),
      ...run.bodies.map(({ id }) => id.slice(own.length)),
    ];
    const told = plan.steps.flatMap(({ makes = [] }) => makes);
    const unknown = told.filter(
      (each) => !names.some((name) => [name, name.replace(/ \d+$/, '')].some((said) => said.endsWith(each))),
    );
    // Bands that are cut in one length have another name than those that are cut one by one; hands may have no beads.
    expect(unknown.filter((each) => !/^(band|first|second)/.test(each))).toEqual([]);
  });

  it('ends as the piece itself', () => {
    const { run: last } = stages.at(-1) as Stage;
    expect(last.bodies).toEqual(run.bodies);
    expect(last.wires.map(({ path }) => path.length)).toEqual(run.wires.map(({ path }) => path.length));
  });

  it('grows from step to step, in lines without a gap', () => {
    let before: RunPiece = { wires: [], bodies: [] };
    for (const { run: now } of stages) {
      expect(now.bodies.length).toBeGreaterThanOrEqual(before.bodies.length);
      for (const { wire, first, second, between, path } of now.wires) {
        const worked = [...first, ...second].filter(({ name }) => name !== 'still to be worked');
        const then = wireIn(before, wire.id);
        const workedThen = [...(then?.first ?? []), ...(then?.second ?? [])].filter(
          ({ name }) => name !== 'still to be worked',
        );
        expect(worked.length).toBeGreaterThanOrEqual(workedThen.length);
        const lines = [...first, ...second, ...(between ? [between] : [])];
        const sum = lines.reduce((long, course) => long + lengthOfPath(course.path), 0);
        expect(lengthOfPath(path)).toBeCloseTo(sum, 6);
      }
      before = now;
    }
  });
});

describe('an end that is still to be worked', () => {
  it('goes straight on, no longer than it will be needed', () => {
    const swirl = alone.find(({ id }) => id === 'briolette-swirl');
    if (!swirl) throw new Error('it is told by the ways of its wires');
    const [threaded] = stagesAlone(swirl.plan, swirl.run, swirl.own);
    const [wire] = threaded?.run.wires ?? [];
    const ends = [wire?.first.at(-1), wire?.second.at(-1)];
    for (const end of ends) {
      expect(end?.name).toBe('still to be worked');
      expect(lengthOfPath(end?.path ?? [])).toBeCloseTo(14, 9);
    }
    // Through the hole and out on both sides: straight.
    const [from, to] = [wire?.path[0], wire?.path.at(-1)];
    expect(from && to && distance3(from, to)).toBeCloseTo(lengthOfPath(wire?.path ?? []), 6);
  });
});

describe('a technique that goes on from another', () => {
  const frame: Told = ['a', 'bundle-frame', { bound: 6, holds: 2 }];
  const bail: Told = ['b', 'folded-bail', { wraps: 3, gather: 4 }, { ends: ['a.left 3', 'a.right 3'] }];
  const made = pieceOf([frame, bail]);
  const alike = pieceOf([frame]);
  const before = (wire: string, side: 'first' | 'second') => wireIn(alike.run, wire)?.wire[side].length ?? 0;
  const stages = stagesOf({
    steps: made.plans['b']?.steps ?? [],
    run: made.run,
    own: 'b.',
    before,
    whole: (wire, side) => longOf(wireIn(made.run, wire), side),
  });

  it('leaves what was there before it, and binds the neck after the fold', () => {
    expect(stages.map(({ step }) => step)).toEqual(['fold', 'bind']);
    const [folded, bound] = stages as [Stage, Stage];
    const names = (run: RunPiece) => run.wires.map(({ wire }) => wire.name);
    expect(names(folded.run)).toHaveLength(names(alike.run).length);
    expect(names(bound.run)).toHaveLength(names(alike.run).length + 1);
    expect(folded.run.bodies).toEqual(alike.run.bodies);
  });
});
