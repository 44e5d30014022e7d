import fc from 'fast-check';
import {
  correctSlot,
  countingTo,
  goToStation,
  hear,
  NOTHING_KEPT,
  readKept,
  readWords,
  say,
  sayCounted,
  sittingOf,
  type Kept,
} from './device';
import { spentIn, standing, type Said, type Word } from './sitting';
import { runFor, tick } from './watch';

const S = 1000;

const counter = () => {
  let last = 0;
  return () => `id${(last += 1)}`;
};

/** Runs a watch for so long, a moment said each second. */
function wait(kept: Kept, from: number, seconds: number): Kept {
  let now = kept;
  for (let at = 1; at <= seconds; at += 1) now = { ...now, watch: tick(now.watch, from + at * S) };
  return now;
}

const run = (kept: Kept, slot: number, now: number): Kept => ({
  ...kept,
  watch: runFor(kept.watch, slot, now),
});

describe('a sitting on a device', () => {
  it('shows at once what was said, and keeps it until it was heard', () => {
    const newId = counter();
    let kept = goToStation(NOTHING_KEPT, 4, 0, newId);
    expect(sittingOf(kept).at).toBe(4);
    expect(kept.unheard.map(({ said }) => said)).toEqual([{ kind: 'at', at: 4 }]);
    kept = hear(kept, kept.unheard);
    expect([kept.unheard, sittingOf(kept).at]).toEqual([[], 4]);
  });

  it('shows what its watch counts before it is said, and counts it once when it is', () => {
    const newId = counter();
    let kept = wait(run(NOTHING_KEPT, 2, 0), 0, 90);
    expect(spentIn(sittingOf(kept), 2)).toBe(90 * S);
    kept = sayCounted(kept, newId);
    expect(kept.unheard.map(({ said }) => said)).toEqual([{ kind: 'worked', slot: 2, ms: 90 * S }]);
    expect(spentIn(sittingOf(kept), 2)).toBe(90 * S);
    // It runs on, and says only what came since.
    kept = sayCounted(wait(hear(kept, kept.unheard), 90 * S, 10), newId);
    expect(kept.unheard.map(({ said }) => said)).toEqual([{ kind: 'worked', slot: 2, ms: 10 * S }]);
    expect(spentIn(sittingOf(kept), 2)).toBe(100 * S);
    expect(sayCounted(kept, newId)).toBe(kept);
  });

  it('counts to where somebody went, on whatever device', () => {
    const newId = counter();
    let kept = wait(run(NOTHING_KEPT, 1, 0), 0, 30);
    kept = countingTo(goToStation(kept, 2, 30 * S, newId), 2, 30 * S);
    kept = wait(kept, 30 * S, 12);
    const sitting = sittingOf(kept);
    expect([spentIn(sitting, 1), spentIn(sitting, 2)]).toEqual([30 * S, 12 * S]);
    // Another device goes back.
    kept = hear(kept, [...kept.unheard, { id: 'theirs', said: { kind: 'at', at: 1 } }]);
    expect(sittingOf(kept).at).toBe(1);
    kept = wait(countingTo(kept, 1, 42 * S), 42 * S, 5);
    expect(spentIn(sittingOf(kept), 1)).toBe(35 * S);
  });

  it('lets what is told by hand replace what the watch counted and had not said', () => {
    const kept = correctSlot(wait(run(NOTHING_KEPT, 0, 0), 0, 50), 0, 7 * S, 51 * S, counter());
    expect(spentIn(sittingOf(kept), 0)).toBe(7 * S);
    expect(spentIn(sittingOf(wait(kept, 51 * S, 3)), 0)).toBe(10 * S);
  });

  it('takes no older answer for a newer one', () => {
    const heard: Word[] = [
      { id: 'a', said: { kind: 'at', at: 1 } },
      { id: 'b', said: { kind: 'at', at: 2 } },
    ];
    expect(sittingOf(hear(hear(NOTHING_KEPT, heard), heard.slice(0, 1))).at).toBe(2);
  });

  it('loses nothing and doubles nothing when answers are lost, sent again, and two devices speak at once', () => {
    const aStep = fc.record({
      device: fc.nat({ max: 1 }),
      does: fc.constantFrom('works', 'sends', 'sends, and the answer is lost', 'reloads'),
      seconds: fc.integer({ min: 1, max: 60 }),
    });
    fc.assert(
      fc.property(fc.array(aStep, { maxLength: 40 }), (steps) => {
        const newId = counter();
        const devices: Kept[] = [NOTHING_KEPT, NOTHING_KEPT];
        let studio: readonly Word[] = [];
        let worked = 0;
        let now = 0;
        const send = (device: number, isAnswered: boolean) => {
          const kept = sayCounted(devices[device] ?? NOTHING_KEPT, newId);
          const known = new Set(studio.map(({ id }) => id));
          studio = [...studio, ...kept.unheard.filter(({ id }) => !known.has(id))];
          devices[device] = isAnswered ? hear(kept, studio) : kept;
        };
        for (const { device, does, seconds } of steps) {
          const kept = devices[device] ?? NOTHING_KEPT;
          if (does === 'works') {
            devices[device] = wait(run(kept, device, now), now, seconds);
            devices[device] = { ...devices[device], watch: { ...devices[device].watch, isRunning: false } };
            now += seconds * S;
            worked += seconds * S;
          } else if (does === 'reloads') devices[device] = readKept(JSON.stringify(kept));
          else send(device, does === 'sends');
        }
        for (const device of [0, 1, 0, 1]) send(device, true);
        const total = [...standing(studio).spent.values()].reduce((sum, ms) => sum + ms, 0);
        expect(total).toBe(worked);
        expect(sittingOf(devices[0] ?? NOTHING_KEPT)).toEqual(sittingOf(devices[1] ?? NOTHING_KEPT));
        expect(devices.map(({ unheard }) => unheard.length)).toEqual([0, 0]);
      }),
    );
  });
});

describe('what a device kept', () => {
  it('comes back as it was', () => {
    const newId = counter();
    const said: Said = { kind: 'noted', piece: 0, text: 'wide bail' };
    const kept = say(wait(run(NOTHING_KEPT, 3, 0), 0, 5), said, newId());
    expect(readKept(JSON.stringify(kept))).toEqual(kept);
  });

  it('is nothing when it is damaged; what of it can be read stays', () => {
    expect(readKept(null)).toEqual(NOTHING_KEPT);
    expect(readKept('{')).toEqual(NOTHING_KEPT);
    const unheard = [{ id: 'a', said: { kind: 'at', at: 2 } }];
    expect(readKept(JSON.stringify({ watch: 'broken', heard: 7, unheard })).unheard).toEqual(unheard);
  });

  it('is read word by word, and no more of them than are allowed', () => {
    const word = { id: 'a', said: { kind: 'at', at: 2 } };
    expect(readWords([word, word], 2)).toEqual([word, word]);
    expect(readWords([word, word], 1)).toBeUndefined();
    expect(readWords([word, { id: 'b', said: { kind: 'at' } }], 5)).toBeUndefined();
    expect(readWords([{ ...word, id: 'x'.repeat(41) }], 5)).toBeUndefined();
    expect(readWords({}, 5)).toBeUndefined();
  });
});
