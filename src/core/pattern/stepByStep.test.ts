import { pickedUp } from '../../../tests/support/pickedUp';
import { named } from '../../../tests/support/techniques';
import { lengthOfPath } from '../geometry/path';
import { techniqueOf } from '../techniques/registry';
import { stepsOf } from './bodyOf';
import { withOwnStep } from './changeOwnSteps';
import { EMPTY_COMPOSITION } from './composition';
import { goneOn } from './goneOn';
import { minutesOf } from './pattern';
import { resolve } from './resolve';
import { stepByStep, writtenSteps, type WorkedStep } from './stepByStep';

const AT_HAND = { specs: {}, techniques: techniqueOf };

const frame = goneOn(EMPTY_COMPOSITION, named('bundle-frame'), undefined, AT_HAND);
const beaded = pickedUp(frame, 'threaded-bead', 'frame wire 1, right end');
const curled = pickedUp(beaded, 'flat-spiral', 'frame wire 1, right end');
const resolved = resolve(curled, {}, techniqueOf);
const steps = stepByStep(resolved);

const wireIn = ({ seen }: WorkedStep): number =>
  (seen?.plan.run?.wires ?? []).reduce(
    (sum, { path }) => sum + (path.length > 1 ? lengthOfPath(path) : 0),
    0,
  );

describe('the order of work, one step at a time', () => {
  it('has every step once, with the minutes before it', () => {
    expect(steps.map(({ name }) => name)).toEqual(resolved.steps.map(({ name }) => name));
    expect(steps[0]?.minutesBefore).toBe(0);
    const last = steps.at(-1);
    expect((last?.minutesBefore ?? 0) + (last?.minutes ?? 0)).toBeCloseTo(
      minutesOf({ steps: stepsOf(resolved) }).each,
      9,
    );
  });

  it('shows the piece grow until it is what it is', () => {
    const seen = steps.filter((step) => step.seen);
    expect(seen.length).toBeGreaterThan(4);
    const bodies = seen.map(({ seen: shown }) => shown?.plan.run?.bodies.length ?? 0);
    expect([...bodies].sort((a, b) => a - b)).toEqual(bodies);
    const [piece] = resolved.pieces;
    const whole = (piece?.run.wires ?? []).reduce((sum, { path }) => sum + lengthOfPath(path), 0);
    expect(wireIn(steps.at(-1) as WorkedStep)).toBeCloseTo(whole, 6);
    expect(steps.at(-1)?.seen?.part.uses).toHaveLength(3);
  });

  it('says what is in hand: what the technique takes up, and what is cut for it', () => {
    const of = (name: RegExp) => steps.find((step) => name.test(step.name))?.inHand;
    expect(of(/roll the spiral/)).toEqual(['frame wire 1, right end']);
    expect(steps[0]?.inHand.join()).toMatch(/frame wire.*binding wire/);
  });

  it('tells what a step must not come before, where it comes', () => {
    const roll = steps.find(({ name }) => /roll the spiral/.test(name));
    expect(roll?.stops?.join()).toMatch(
      /Not before “thread the bead”. Nothing is threaded on frame wire 1, right end when that is done/,
    );
  });

  it('shows the piece as it was at a step of the maker’s own', () => {
    const order = resolved.steps.map(({ id }) => id);
    const own = stepByStep(resolve(withOwnStep(curled, order, 'antique and polish'), {}, techniqueOf));
    expect(own).toHaveLength(steps.length + 1);
    expect(own.at(-1)?.name).toBe('antique and polish');
    expect(own.at(-1)?.seen?.plan.run).toBe(own.at(-2)?.seen?.plan.run);
    expect(own.at(-1)?.inHand).toEqual([]);
  });

  it('has no pictures of what was written by hand', () => {
    const written = writtenSteps([
      { name: 'cut', minutes: 2, perSitting: true },
      { name: 'bend', minutes: 5, perSitting: false },
    ]);
    expect(written.map(({ minutesBefore, seen }) => [minutesBefore, seen])).toEqual([
      [0, undefined],
      [2, undefined],
    ]);
  });
});
