import fc from 'fast-check';
import { um } from '../units/length';
import { ug } from '../units/mass';
import { massOfLength } from '../wire/mass';
import type { WireSpec } from '../wire/spec';
import { after, NEW_SITTING, pieceIn, type Said, type Sitting } from './sitting';
import { measuredWires, shorterIn, spoolUsed, wireDone, workedOff } from './wireDone';

const copper: WireSpec = {
  metal: 'copper',
  profile: 'round',
  width: um(320),
  height: um(320),
  temper: 'dead soft',
  finish: 'bare',
  finishName: '',
  label: { system: 'AWG', number: '28' },
};
const heard = (...said: readonly Said[]): Sitting => said.reduce(after, NEW_SITTING);
const spool = (when: 'before' | 'after', mass: number, cutIndex = 0): Said => ({
  kind: 'spool',
  cutIndex,
  when,
  mass: ug(mass),
});
const WANTED = { cutIndex: 0, copy: 0, length: um(120_000), tails: [um(20_000)] };

const kept = (length: number): Said => ({
  kind: 'shorter',
  piece: 0,
  cutIndex: 0,
  copy: 0,
  length: um(length),
  does: 'a smaller curl',
});

describe('a wire that was cut too short and is kept', () => {
  const doneAfter = (...said: readonly Said[]) => wireDone(pieceIn(heard(...said), 0), WANTED);

  it('was cut to what it is, whatever was meant; of one that is shorter than its ends nothing is trimmed', () => {
    expect(doneAfter(kept(108_000))).toEqual({ cut: 108_000, back: [20_000] });
    expect(doneAfter(kept(15_000))).toEqual({ cut: 15_000, back: [] });
    expect(doneAfter(kept(108_000), kept(0))).toEqual({ cut: 120_000, back: [20_000] });
    expect(wireDone(pieceIn(heard(kept(108_000)), 0), WANTED, undefined, um(130_000)).cut).toBe(108_000);
  });

  it('is as it was measured once somebody measured it, but tells nothing of how long the next is cut', () => {
    const cut: Said = { kind: 'cut', piece: 0, cutIndex: 0, copy: 0, cut: um(107_000), back: [] };
    expect(doneAfter(kept(108_000), cut)).toEqual({ cut: 107_000, back: [] });
    const measuredIn = (...said: readonly Said[]) => [
      ...measuredWires(heard(...said), { piece: 0, isFirst: true }, [WANTED]),
    ];
    expect(measuredIn(cut)).toEqual(['0.0']);
    expect(measuredIn(cut, kept(108_000))).toEqual([]);
    expect(measuredIn(cut, kept(108_000), kept(0))).toEqual(['0.0']);
  });

  it('is of its piece alone', () => {
    const two = heard(kept(108_000));
    expect(shorterIn(pieceIn(two, 0), WANTED)?.does).toBe('a smaller curl');
    expect(shorterIn(pieceIn(two, 0), { cutIndex: 0, copy: 1 })).toBeUndefined();
    expect(shorterIn(pieceIn(two, 1), WANTED)).toBeUndefined();
  });
});

describe('a wire that is worked off its spool', () => {
  it('is as long as what the spool weighs less: copper of 0.32 mm has 0.715 g a metre', () => {
    // π · 0.16² mm² · 8.89 g/cm³ (standard annealed copper, IEC 60028), times 6 wires of 1.5 m.
    const used = Math.PI * 0.16 ** 2 * 8.89 * 6 * 1.5;
    const each = workedOff(
      heard(spool('before', 50e6), spool('after', Math.round(50e6 - used * 1e6))),
      0,
      6,
      copper,
    );
    expect(each).not.toBeNull();
    expect(Math.abs((each ?? 0) - 1_500_000)).toBeLessThan(10);
  });

  it('is not known until both are weighed, nor when the spool grew heavier, nor when the first is taken back', () => {
    const weighed = [spool('before', 50e6), spool('after', 40e6)];
    expect(spoolUsed(heard(...weighed), 0)).toBe(10e6);
    expect(spoolUsed(heard(...weighed), 1)).toBeNull();
    expect(spoolUsed(heard(...weighed.slice(0, 1)), 0)).toBeNull();
    expect(spoolUsed(heard(...weighed.slice(1)), 0)).toBeNull();
    expect(spoolUsed(heard(spool('before', 40e6), spool('after', 50e6)), 0)).toBeNull();
    expect(spoolUsed(heard(...weighed, spool('before', 0)), 0)).toBeNull();
  });

  it('has what was spoiled of it taken off first; what was spoiled of another cut is nothing to it', () => {
    const spoiled = (cutIndex: number, length: number): Said => ({
      kind: 'spoiled',
      piece: 1,
      cutIndex,
      copy: 0,
      length: um(length),
      reason: 'snapped',
    });
    const weighed = [spool('before', 50e6), spool('after', 50e6 - massOfLength(copper, um(900_000)))];
    const each = (...more: Said[]) => workedOff(heard(...weighed, ...more), 0, 2, copper);
    expect(Math.abs((each(spoiled(0, 300_000)) ?? 0) - 300_000)).toBeLessThan(2);
    expect(Math.abs((each(spoiled(1, 300_000)) ?? 0) - 450_000)).toBeLessThan(2);
    expect(each(spoiled(0, 950_000))).toBeNull();
  });

  it('never comes to more than the spool lost, over all wires', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), fc.integer({ min: 1, max: 60 }), (mass, wires) => {
        const each =
          workedOff(heard(spool('before', 2e9), spool('after', 2e9 - mass)), 0, wires, copper) ?? 0;
        // A micrometre is rounded, of each.
        expect(massOfLength(copper, um(each * wires))).toBeLessThanOrEqual(mass + wires + 1);
      }),
    );
  });
});

describe('how a wire was done', () => {
  const nothing = pieceIn(NEW_SITTING, 0);
  const meant = { cutIndex: 0, copy: 0, length: um(130_000), back: [um(26_000)] };
  const told = heard({ kind: 'cut', piece: 0, cutIndex: 0, copy: 0, cut: um(99_000), back: [] });

  it('is as it was said, else by the spool, else as it was meant, else as planned', () => {
    expect(wireDone(nothing, WANTED)).toEqual({ cut: 120_000, back: [20_000] });
    expect(wireDone(nothing, WANTED, meant)).toEqual({ cut: 130_000, back: [26_000] });
    expect(wireDone(nothing, WANTED, meant, um(125_000))).toEqual({ cut: 125_000, back: [26_000] });
    expect(wireDone(pieceIn(told, 0), WANTED, meant, um(125_000))).toEqual({ cut: 99_000, back: [] });
  });

  it('has nothing trimmed of a wire that is no longer than its ends', () => {
    expect(wireDone(nothing, WANTED, undefined, um(20_000))).toEqual({ cut: 20_000, back: [] });
  });

  it('was measured when it was spoken of, or its spool weighed twice', () => {
    const wanted = [WANTED, { ...WANTED, cutIndex: 1 }];
    const of = (sitting: Sitting, piece: number, isFirst = false) => [
      ...measuredWires(sitting, { piece, isFirst }, wanted),
    ];
    expect([of(NEW_SITTING, 0, true), of(told, 0), of(told, 1)]).toEqual([[], ['0.0'], []]);
    const weighed = heard(spool('before', 50e6, 1), spool('after', 49e6, 1));
    // The spool knows the sum of all pieces: it is one entry of the log, not one of each.
    expect([of(weighed, 3, true), of(weighed, 4)]).toEqual([['1.0'], []]);
  });
});
