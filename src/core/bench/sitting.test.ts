import fc from 'fast-check';
import { um } from '../units/length';
import { grams, ug } from '../units/mass';
import {
  finishedInside,
  isLost,
  NEW_SITTING,
  pieceIn,
  readSaid,
  spentIn,
  standing,
  wireKey,
  type Said,
  type Word,
} from './sitting';

let ids = 0;
const words = (...said: readonly Said[]): Word[] =>
  said.map((each) => ({ id: `w${(ids += 1)}`, said: each }));

const anIndex = fc.nat({ max: 5 });
const aSaid: fc.Arbitrary<Said> = fc.oneof(
  fc.record({ kind: fc.constant('at' as const), at: anIndex }),
  fc.record({ kind: fc.constant('worked' as const), slot: anIndex, ms: fc.nat({ max: 1e6 }) }),
  fc.record({ kind: fc.constant('passed' as const), at: anIndex }),
  fc.record({
    kind: fc.constant('checked' as const),
    piece: anIndex,
    check: anIndex,
    isGood: fc.boolean(),
    reading: fc.string({ maxLength: 20 }),
  }),
  fc.record({
    kind: fc.constant('cut' as const),
    piece: anIndex,
    cutIndex: anIndex,
    copy: anIndex,
    cut: fc.nat({ max: 1e6 }).map(um),
    back: fc.array(fc.nat({ max: 1e5 }).map(um), { maxLength: 3 }),
  }),
  fc.record({
    kind: fc.constant('shorter' as const),
    piece: anIndex,
    cutIndex: anIndex,
    copy: anIndex,
    length: fc.nat({ max: 1e6 }).map(um),
    does: fc.string({ maxLength: 20 }),
  }),
  fc.record({
    kind: fc.constant('broke' as const),
    piece: anIndex,
    part: anIndex,
    count: anIndex,
    reason: fc.string({ maxLength: 20 }),
  }),
  fc.record({
    kind: fc.constant('spool' as const),
    cutIndex: anIndex,
    when: fc.constantFrom('before' as const, 'after' as const),
    mass: fc.nat({ max: 1e8 }).map(ug),
  }),
  fc.record({ kind: fc.constant('noted' as const), piece: anIndex, text: fc.string({ maxLength: 30 }) }),
);

describe('a sitting at the bench', () => {
  it('stands where somebody went last', () => {
    expect(standing(words({ kind: 'at', at: 3 }, { kind: 'at', at: 7 }, { kind: 'at', at: 5 })).at).toBe(5);
    expect(standing([])).toEqual(NEW_SITTING);
  });

  it('adds up time, and what is told by hand is all there was until more is counted', () => {
    const said = standing(
      words(
        { kind: 'worked', slot: 2, ms: 1000 },
        { kind: 'worked', slot: 2, ms: 500 },
        { kind: 'worked', slot: 3, ms: 9 },
        { kind: 'corrected', slot: 2, ms: 60_000 },
        { kind: 'worked', slot: 2, ms: 250 },
      ),
    );
    expect([spentIn(said, 2), spentIn(said, 3), spentIn(said, 4)]).toEqual([60_250, 9, 0]);
  });

  it('hears nothing twice, however often and in whatever pieces it is sent', () => {
    fc.assert(
      fc.property(fc.array(aSaid, { maxLength: 30 }), fc.array(fc.nat({ max: 29 })), (said, again) => {
        const once = words(...said);
        const repeated = again.flatMap((index) => once[index] ?? []);
        expect(standing([...once, ...repeated])).toEqual(standing(once));
      }),
    );
  });

  it('counts time the same in whatever order two devices are heard', () => {
    const times = fc.array(
      fc.record({ kind: fc.constant('worked' as const), slot: anIndex, ms: fc.nat({ max: 1e6 }) }),
    );
    fc.assert(
      fc.property(times, times, (mine, theirs) => {
        const one = standing(words(...mine, ...theirs));
        const other = standing(words(...theirs, ...mine));
        expect([...one.spent].sort(([a], [b]) => a - b)).toEqual([...other.spent].sort(([a], [b]) => a - b));
      }),
    );
  });

  it('keeps for each piece what was said of it last', () => {
    const said = standing(
      words(
        { kind: 'checked', piece: 1, check: 0, isGood: false, reading: '' },
        { kind: 'checked', piece: 1, check: 0, isGood: false, reading: 'still loose' },
        { kind: 'checked', piece: 1, check: 0, isGood: true, reading: '' },
        { kind: 'cut', piece: 1, cutIndex: 0, copy: 2, cut: um(120_000), back: [um(4000)] },
        { kind: 'spoiled', piece: 1, cutIndex: 0, copy: 2, length: um(90_000), reason: 'snapped' },
        { kind: 'spoiled', piece: 1, cutIndex: 1, copy: 0, length: um(5000), reason: 'marred by pliers' },
        { kind: 'spoiled', piece: 1, cutIndex: 1, copy: 0, length: um(0), reason: '' },
        { kind: 'weighed', piece: 1, mass: grams(3) },
        { kind: 'noted', piece: 1, text: 'too much weave' },
        { kind: 'flawed', piece: 2, reason: 'a mark on the bail' },
        { kind: 'lost', piece: 3, reason: 'snapped' },
        { kind: 'lost', piece: 4, reason: 'snapped' },
        { kind: 'lost', piece: 4, reason: '' },
      ),
    );
    const piece = pieceIn(said, 1);
    expect(piece.checks.get(0)).toEqual({ isGood: true, reading: '', failures: 2 });
    expect(piece.wires.get(wireKey({ cutIndex: 0, copy: 2 }))).toEqual({ cut: 120_000, back: [4000] });
    expect(piece.lostWires).toEqual([{ cutIndex: 0, copy: 2, length: 90_000, reason: 'snapped' }]);
    expect([piece.mass, piece.note, piece.flaw]).toEqual([3_000_000, 'too much weave', '']);
    expect(pieceIn(said, 2).flaw).toBe('a mark on the bail');
    expect([1, 3, 4].map((each) => isLost(said, each))).toEqual([false, true, false]);
  });

  it('reads a ring as often as it is hammered, and once when it is finished', () => {
    const size = (when: 'wound' | 'hammered' | 'finished', inside: number): Said => ({
      kind: 'size',
      piece: 0,
      when,
      inside: um(inside),
    });
    const said = standing(
      words(
        size('wound', 16_900),
        size('hammered', 17_000),
        size('hammered', 17_200),
        size('finished', 17_200),
        size('finished', 17_300),
      ),
    );
    const piece = pieceIn(said, 0);
    expect(piece.sizes.map(({ when, inside }) => `${when} ${inside}`)).toEqual([
      'wound 16900',
      'hammered 17000',
      'hammered 17200',
      'finished 17300',
    ]);
    expect(finishedInside(piece)).toBe(17_300);
    expect(finishedInside(pieceIn(said, 1))).toBeNull();
  });
});

describe('what is said, as a device sends it', () => {
  it('is read as it was said', () => {
    fc.assert(fc.property(aSaid, (said) => expect(readSaid(JSON.parse(JSON.stringify(said)))).toEqual(said)));
  });

  it.each([
    [null],
    ['at'],
    [{ kind: 'shout' }],
    [{ kind: 'constructor' }],
    [{ kind: 'at', at: -1 }],
    [{ kind: 'at', at: 1.5 }],
    [{ kind: 'worked', slot: 0, ms: Infinity }],
    [{ kind: 'worked', slot: 0, ms: -5 }],
    [{ kind: 'cut', piece: 0, cutIndex: 0, copy: 0, cut: 5, back: [1, 'x'] }],
    [{ kind: 'size', piece: 0, when: 'polished', inside: 17_000 }],
    [{ kind: 'lost', piece: 0, reason: 'x'.repeat(201) }],
    [{ kind: 'noted', piece: 0 }],
  ])('is nothing when it is %j', (given) => {
    expect(readSaid(given)).toBeUndefined();
  });

  it('leaves out what nobody asked for', () => {
    expect(readSaid({ kind: 'at', at: 1, studioId: 'another' })).toEqual({ kind: 'at', at: 1 });
  });
});
