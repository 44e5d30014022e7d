import fc from 'fast-check';
import {
  goTo,
  LONGEST_GAP_MS,
  newWatch,
  readWatch,
  runFor,
  settleMissed,
  spentOn,
  stand,
  tick,
  type Watch,
} from './watch';

const S = 1000;
const MIN = 60 * S;

/** Lets time go by, a moment said every five seconds. */
function wait(watch: Watch, from: number, ms: number): Watch {
  let now = watch;
  for (let at = from + 5 * S; at <= from + ms; at += 5 * S) now = tick(now, at);
  return now;
}

describe('a watch at the bench', () => {
  it('counts to the step it runs for, and to nothing while it stands', () => {
    let watch = runFor(newWatch(), 0, 0);
    watch = wait(watch, 0, 2 * MIN);
    watch = goTo(watch, 1, 2 * MIN);
    watch = wait(watch, 2 * MIN, 3 * MIN);
    watch = stand(watch, 5 * MIN);
    watch = wait(watch, 5 * MIN, 30 * MIN);
    watch = runFor(watch, 1, 35 * MIN);
    watch = wait(watch, 35 * MIN, MIN);
    expect([0, 1, 2].map((step) => spentOn(watch, step) / MIN)).toEqual([2, 4, 0]);
  });

  it('stays what it was over a reload', () => {
    const watch = wait(runFor(newWatch(), 2, 0), 0, MIN);
    const again = readWatch(JSON.stringify(watch));
    expect(again).toEqual(watch);
    expect(spentOn(wait(again, MIN, MIN), 2)).toBe(2 * MIN);
  });

  it('does not count sleep, but offers it; a night it does not even offer', () => {
    const asleep = tick(wait(runFor(newWatch(), 0, 0), 0, MIN), 21 * MIN);
    expect(spentOn(asleep, 0)).toBe(MIN);
    expect(asleep.missed).toBe(20 * MIN);
    expect(spentOn(settleMissed(asleep, true), 0)).toBe(21 * MIN);
    expect(settleMissed(asleep, false)).toMatchObject({ missed: 0, spent: [MIN] });
    const night = tick(wait(runFor(newWatch(), 0, 0), 0, MIN), 10 * 60 * MIN);
    expect(night).toMatchObject({ missed: 0, spent: [MIN] });
    // And goes on counting from there.
    expect(spentOn(wait(night, 10 * 60 * MIN, MIN), 0)).toBe(2 * MIN);
  });

  it('loses and gains nothing by a clock that is set', () => {
    const before = wait(runFor(newWatch(), 0, 100 * MIN), 100 * MIN, MIN);
    const back = wait(tick(before, 40 * MIN), 40 * MIN, MIN);
    expect(spentOn(back, 0)).toBe(2 * MIN);
    const forth = wait(tick(before, 161 * MIN), 161 * MIN, MIN);
    expect(spentOn(forth, 0)).toBe(2 * MIN);
  });

  it('is a new one when what was kept is rubbish', () => {
    for (const kept of [
      null,
      '',
      '{',
      '3',
      '{"step":-1}',
      '{"step":0,"isRunning":true,"seen":0,"spent":["a"],"missed":0}',
    ])
      expect(readWatch(kept)).toEqual(newWatch());
  });

  it('never counts more than went by, whatever happens in whatever order', () => {
    const act = fc.record({
      after: fc.integer({ min: 0, max: 3 * LONGEST_GAP_MS }),
      does: fc.constantFrom('tick', 'run', 'stand', 'go'),
      step: fc.integer({ min: 0, max: 4 }),
    });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        let [watch, now] = [newWatch(), 0];
        for (const { after, does, step } of acts) {
          now += after;
          if (does === 'tick') watch = tick(watch, now);
          if (does === 'run') watch = runFor(watch, step, now);
          if (does === 'stand') watch = stand(watch, now);
          if (does === 'go') watch = goTo(watch, step, now);
        }
        const counted = watch.spent.reduce((sum, each) => sum + each, 0);
        expect(counted + watch.missed).toBeLessThanOrEqual(now);
        expect(watch.spent.every((each) => each >= 0)).toBe(true);
        expect(readWatch(JSON.stringify(watch))).toEqual(watch);
      }),
    );
  });
});
