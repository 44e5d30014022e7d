import { standing, type Said } from './sitting';
import { minutesLost, minutesOfPiece, minutesOfSetUp, slotOf, type SittingStep } from './sittingMinutes';
import { reworkSlot, stationsOf } from './stations';

const MIN = 60_000;
const steps: readonly SittingStep[] = [
  { minutes: 8, perSitting: true },
  { minutes: 5, perSitting: false },
  { minutes: 12, perSitting: false },
];
const COUNT = 3;
const stations = stationsOf(steps, COUNT);
const slot = (kind: string, step?: number, piece?: number): number =>
  stations.findIndex(
    (each) =>
      each.kind === kind &&
      (each.kind !== 'step' || each.step === step) &&
      (!('piece' in each) || piece === undefined || each.piece === piece),
  );
const sittingWith = (...said: readonly Said[]) =>
  standing(said.map((each, index) => ({ id: String(index), said: each })));
const worked = (at: number, minutes: number): Said => ({ kind: 'worked', slot: at, ms: minutes * MIN });

describe('what a sitting took', () => {
  it('is what the pattern says as long as nobody timed anything', () => {
    const untimed = sittingWith();
    expect(minutesOfPiece(untimed, steps, COUNT, 0)).toEqual({
      minutes: 17,
      timed: [],
      besides: { layOut: 0, inspect: 0, rework: 0 },
    });
    expect(minutesOfSetUp(untimed, steps, COUNT).minutes).toBe(8);
  });

  it('is what was timed, each step on each piece by itself, and of the others what the pattern says', () => {
    const sitting = sittingWith(
      worked(slot('step', 1, 0), 4),
      worked(slot('step', 1, 1), 7.26),
      worked(slot('inspect', undefined, 1), 2),
      worked(reworkSlot(stations, 1), 6),
      worked(slot('layOut'), 10),
      worked(slot('step', 0), 9),
    );
    expect(minutesOfPiece(sitting, steps, COUNT, 0)).toMatchObject({
      minutes: 4 + 12,
      timed: [{ step: 1, minutes: 4 }],
    });
    expect(minutesOfPiece(sitting, steps, COUNT, 1)).toEqual({
      minutes: 7.3 + 12 + 2 + 6,
      timed: [{ step: 1, minutes: 7.3 }],
      besides: { layOut: 0, inspect: 2, rework: 6 },
    });
    expect(minutesOfPiece(sitting, steps, COUNT, 2).minutes).toBe(17);
    expect(minutesOfSetUp(sitting, steps, COUNT)).toEqual({
      minutes: 19,
      timed: [{ step: 0, minutes: 9 }],
      besides: { layOut: 10, inspect: 0, rework: 0 },
    });
  });

  it('does not take a glance for work: what is under a twentieth of a minute was not timed', () => {
    expect(minutesOfPiece(sittingWith(worked(slot('step', 1, 0), 0.04)), steps, COUNT, 0).minutes).toBe(17);
  });

  it('has what was timed on lost pieces borne by the others; nothing when all are lost', () => {
    const lose = (piece: number): Said => ({ kind: 'lost', piece, reason: 'snapped' });
    const time = [worked(slot('step', 1, 2), 5), worked(slot('step', 1, 0), 4)];
    expect(minutesLost(sittingWith(...time), steps, COUNT)).toBe(0);
    expect(minutesLost(sittingWith(...time, lose(2)), steps, COUNT)).toBe(5);
    expect(minutesLost(sittingWith(...time, lose(2), lose(0)), steps, COUNT)).toBe(9);
  });
});

describe('what time is counted to', () => {
  it('is the station; rework while a piece that is looked over is found not good', () => {
    const at = slot('inspect', undefined, 1);
    const look = (isGood: boolean): Said => ({ kind: 'checked', piece: 1, check: 4, isGood, reading: '' });
    const there: Said = { kind: 'at', at };
    expect(slotOf(sittingWith({ kind: 'at', at: 2 }), stations)).toBe(2);
    expect(slotOf(sittingWith(there), stations)).toBe(at);
    expect(slotOf(sittingWith(there, look(false)), stations)).toBe(reworkSlot(stations, 1));
    expect(slotOf(sittingWith(there, look(false), look(true)), stations)).toBe(at);
    // At another station it is no rework.
    expect(slotOf(sittingWith(look(false), { kind: 'at', at: 3 }), stations)).toBe(3);
  });
});
