import fc from 'fast-check';
import { lengthOfPath, type Vec3 } from '../geometry/path';
import { expectOk } from '../result';
import {
  extraWraps,
  gapOf,
  mirrored,
  repeatsFor,
  repeatsFrom,
  weaveNeed,
  weavePath,
  wireFor,
  type WeaveWires,
} from './consume';
import { figureEight } from '../wrap/wrap';
import { betweenGroups, halvesOf } from './halves';
import { parseWeave, printWeave, wiresOf, type Weave, type WeaveGroup } from './notation';

const read = (text: string): Weave => {
  const parsed = parseWeave(text);
  if (!parsed.ok) throw new Error(parsed.error.message);
  return parsed.value;
};
const problem = (text: string) => {
  const parsed = parseWeave(text);
  return parsed.ok ? undefined : parsed.error;
};

const groups: fc.Arbitrary<WeaveGroup> = fc.oneof(
  fc
    .record({
      first: fc.integer({ min: 0, max: 4 }),
      over: fc.integer({ min: 0, max: 3 }),
      wraps: fc.integer({ min: 1, max: 9 }),
    })
    .map(({ first, over, wraps }) => ({ kind: 'wrap' as const, first, last: first + over, wraps })),
  fc
    .record({ first: fc.integer({ min: 0, max: 6 }), wraps: fc.integer({ min: 1, max: 9 }) })
    .map((each) => ({ kind: 'eight' as const, ...each })),
  fc.constant({ kind: 'pass' as const }),
);
const weaves: fc.Arbitrary<Weave> = fc.record({
  repeat: fc.array(groups, { minLength: 1, maxLength: 8 }),
  close: fc.array(groups, { maxLength: 4 }),
});
const wires: fc.Arbitrary<WeaveWires> = fc.record({
  base: fc.double({ min: 0.4, max: 2, noNaN: true }),
  weaving: fc.double({ min: 0.15, max: 0.6, noNaN: true }),
  strands: fc.integer({ min: 1, max: 2 }),
});

// 20 ga is 0.812 mm, 28 ga 0.321 mm (ASTM B258).
const THREE_AND_TWO = { base: 0.812, weaving: 0.321 };

describe('the notation', () => {
  it('reads the weaves in daily use', () => {
    expect(read('A3 AB2')).toEqual({
      repeat: [
        { kind: 'wrap', first: 0, last: 0, wraps: 3 },
        { kind: 'wrap', first: 0, last: 1, wraps: 2 },
      ],
      close: [],
    });
    expect(wiresOf(read('A3 AB BC; AB A3'))).toBe(3);
    expect(printWeave(read('a3, ab bc ; ab a×3'))).toBe('A3 AB BC; AB A3');
    expect(printWeave(read('(A2 AB)2 B~C 4 /'))).toBe('A2 AB A2 AB B~C4 /');
  });

  it('comes back as it was written', () => {
    fc.assert(fc.property(weaves, (weave) => expect(read(printWeave(weave))).toEqual(weave)));
  });

  it('says what is wrong and where', () => {
    expect(problem('A3 AC2')).toMatchObject({
      at: 3,
      length: 2,
      message: expect.stringMatching(/AC are not neighbours/),
    });
    expect(problem('A3 5')).toMatchObject({
      at: 3,
      message: expect.stringMatching(/“5” is not a frame wire/),
    });
    expect(problem('A3 (AB2')).toMatchObject({ at: 3, message: expect.stringMatching(/never shut/) });
    expect(problem('A3) B')).toMatchObject({ at: 2, message: expect.stringMatching(/never opened/) });
    expect(problem('A0')).toMatchObject({
      at: 1,
      message: expect.stringMatching(/0 times is not possible; 1 to 99/),
    });
    expect(problem('A~C')).toMatchObject({ at: 0, length: 3 });
    expect(problem('A~')).toMatchObject({ message: expect.stringMatching(/two neighbours, like A~B/) });
    expect(problem('A; B; C')).toMatchObject({
      at: 4,
      message: expect.stringMatching(/Only one closing part/),
    });
    expect(problem('  ')).toMatchObject({ message: expect.stringMatching(/Nothing is repeated/) });
    expect(problem('((A9)99)99')).toMatchObject({ message: expect.stringMatching(/more than 60 groups/) });
  });

  it('never breaks on what is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'ABCabc123~/();×x ,é') }), (text) => {
        const parsed = parseWeave(text);
        if (!parsed.ok) expect(parsed.error.at).toBeLessThanOrEqual(text.length);
      }),
    );
  });
});

describe('what a weave takes', () => {
  it('3-and-2 of 28 ga on two 20 ga wires: 150 mm of wire gives 10 to 12 mm (common practice)', () => {
    const need = weaveNeed(read('A3 AB2'), THREE_AND_TWO);
    expect(need.advance).toBeCloseTo(5 * 0.321, 9);
    const woven = (150 / need.wire) * need.advance;
    expect(woven).toBeGreaterThan(10);
    expect(woven).toBeLessThan(12);
  });

  it('a two-wire band in figure-eights for US 7 takes at most 660 mm, and more than half of it (common practice)', () => {
    // 254 mm each of two 20 ga wires with 660 mm of 28 ga; a US 7 is 54.4 mm round inside, its tails 60 mm each.
    const need = weaveNeed(read('A~B'), THREE_AND_TWO);
    const total = wireFor(need, repeatsFor(need, 54.4)) + 2 * 60;
    expect(total).toBeGreaterThan(330);
    expect(total).toBeLessThan(760);
  });

  it('leaves a gap of the weaving wire where the wire passes between, and none where it never does', () => {
    expect(gapOf(read('A3 AB2'), THREE_AND_TWO)).toBe(0.321);
    expect(gapOf(read('ABC'), THREE_AND_TWO)).toBe(0);
    expect(gapOf(read('A3 AB2'), { ...THREE_AND_TWO, gap: 0.5 })).toBe(0.5);
  });

  it('counts whole repeats that cover a length, and those a wire is enough for', () => {
    const need = weaveNeed(read('A3 AB2; A3'), THREE_AND_TWO);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 300, noNaN: true }), (length) => {
        const repeats = repeatsFor(need, length);
        expect(repeats * need.advance + need.closeAdvance).toBeGreaterThanOrEqual(length - 1e-6);
        if (repeats > 0) expect((repeats - 1) * need.advance + need.closeAdvance).toBeLessThan(length);
        const from = repeatsFrom(need, length);
        if (from > 0) expect(wireFor(need, from)).toBeLessThanOrEqual(length + 1e-6);
        expect(wireFor(need, from + 1)).toBeGreaterThan(length - 1e-6);
      }),
    );
  });

  it('more wraps never take less wire', () => {
    fc.assert(
      fc.property(weaves, wires, fc.nat(7), (weave, with_, which) => {
        const more: Weave = {
          ...weave,
          repeat: weave.repeat.map((group, index) =>
            group.kind !== 'pass' && index === which % weave.repeat.length
              ? { ...group, wraps: group.wraps + 1 }
              : group,
          ),
        };
        const gap = gapOf(weave, with_);
        expect(weaveNeed(more, { ...with_, gap: Math.max(gap, with_.weaving) }).wire).toBeGreaterThanOrEqual(
          weaveNeed(weave, { ...with_, gap: Math.max(gap, with_.weaving) }).wire,
        );
      }),
    );
  });

  it('is drawn as long as it is computed', () => {
    fc.assert(
      fc.property(weaves, wires, (weave, with_) => {
        const need = weaveNeed(weave, with_);
        const drawn = (repeats: number) => lengthOfPath(weavePath(weave, with_, repeats));
        // Nothing but passing between wires that stand one thickness apart takes nothing.
        if (wireFor(need, 2) === 0) return expect(drawn(2)).toBe(0);
        const across = wiresOf(weave) * (with_.base + need.gap);
        if (need.wire > 0) {
          const ofTwo = drawn(4) - drawn(2);
          // Where figure-eights begin depends on what came before: over many repeats it is the same again after some.
          const slack = weave.repeat.some(({ kind }) => kind === 'eight') ? across : 0;
          expect(Math.abs(ofTwo - 2 * need.wire)).toBeLessThan(0.005 * ofTwo + slack);
        }
        // The ways to what closes a weave, across the frame at most, are not counted, nor what the first repeat begins otherwise.
        expect(Math.abs(drawn(2) - wireFor(need, 2))).toBeLessThan(
          0.005 * drawn(2) + (1 + weave.close.length) * across,
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('the way of the weaving wire', () => {
  const halves = (text: string, times = 1) => {
    const { repeat } = read(text);
    return halvesOf(Array.from({ length: times }, () => repeat).flat(), repeat).map(
      ({ from, to, face }) => `${from}${to}${face === 'front' ? 'f' : 'b'}`,
    );
  };

  it('goes over the wires of a group in front, and behind them to where the next group begins', () => {
    // Reckoned by hand, gap by gap; 0 is before wire A.
    expect(halves('A2 AB')).toEqual(['01f', '10b', '01f', '10b', '02f', '20b']);
    expect(halves('A AB BC C')).toEqual(['01f', '10b', '02f', '21b', '13f', '32b', '23f', '30b']);
    expect(halves('A~B')).toEqual(['01f', '12b', '21f', '10b']);
  });

  it('turns about where wraps on one wire follow those on its neighbour, and costs nothing for it in a gap of one wire', () => {
    expect(halves('A2 B2', 2).slice(0, 8)).toEqual(['01f', '10b', '01f', '12b', '21f', '12b', '21f', '10b']);
    expect(betweenGroups(read('A2 B2').repeat)).toEqual({ passes: 2, steps: 0 });
    const alone = weaveNeed(read('A2'), THREE_AND_TWO).wire;
    expect(weaveNeed(read('A2 / B2 /'), THREE_AND_TWO).wire).toBeCloseTo(2 * alone, 9);
  });

  it('through a wide gap takes what a crossed belt takes there: as the half of a figure-eight less its turns', () => {
    const [D, d, gap] = [0.812, 0.321, 3];
    // figureEight is checked against machinery's handbooks; a figure-eight is four half turns and two ways through.
    const through = (figureEight(D, d, D + gap) - 2 * Math.PI * (D + d)) / 2;
    const wide = { base: D, weaving: d, gap };
    expect(weaveNeed(read('A2 B2'), wide).wire).toBeCloseTo(
      4 * Math.hypot(Math.PI * (D + d), d) + 2 * through,
      9,
    );
    // And the drawn line, measured, says so too.
    const drawn = lengthOfPath(weavePath(read('A2 B2'), wide, 10));
    expect(drawn / (10 * weaveNeed(read('A2 B2'), wide).wire)).toBeCloseTo(1, 2);
  });

  it('has no gap: no two points of it are further apart than a step of the frame', () => {
    fc.assert(
      fc.property(weaves, wires, (weave, with_) => {
        const path = weavePath(weave, with_, 2);
        const { gap } = weaveNeed(weave, with_);
        const onFace = (z: number) => Math.abs(Math.abs(z) - (with_.base + with_.weaving) / 2) < 1e-9;
        const torn = path.slice(1).filter((to, index) => {
          const from = path[index] as Vec3;
          const apart = Math.hypot(to.y - from.y, to.z - from.z);
          // Straight runs over several wires have no points between; they lie on the frame's face.
          const most = (with_.base + gap) * (onFace(to.z) ? wiresOf(weave) : 1);
          return apart > most || to.x < from.x - 1e-9;
        });
        expect(torn).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

describe('coils side by side', () => {
  const wires = { base: 1, weaving: 0.3 };
  const heights = (path: ReturnType<typeof weavePath>, over: 'A' | 'B') =>
    path.filter(({ y, z }) => z > 0.6 && (over === 'A' ? y < 0.2 : y > 1.4)).map(({ x }) => x);

  it('move on by the turns of one wire, staggered ones by those of both', () => {
    expect(weaveNeed(read('A2+B2'), wires).advance).toBeCloseTo(2 * 0.3, 9);
    expect(weaveNeed(read('A2 B2'), wires).advance).toBeCloseTo(4 * 0.3, 9);
    // Between their wires two wraps lie side by side, where a staggered one lies alone.
    expect(weaveNeed(read('A2+B2'), wires).gap).toBeCloseTo(0.6, 9);
    expect(weaveNeed(read('A2 B2'), wires).gap).toBeCloseTo(0.3, 9);
  });

  it('lie at one height on both wires, staggered ones behind one another', () => {
    const beside = weavePath(read('A3+B3'), wires, 1);
    const staggered = weavePath(read('A3 B3'), wires, 1);
    expect(Math.min(...heights(beside, 'B'))).toBeLessThan(0.3);
    expect(Math.max(...heights(beside, 'B'))).toBeLessThan(3 * 0.3 + 0.01);
    expect(Math.min(...heights(staggered, 'B'))).toBeGreaterThan(Math.max(...heights(staggered, 'A')) - 0.01);
  });

  it('take as much as is laid, and more than staggered ones by the way back over the coil', () => {
    for (const text of ['A2+B2', 'A4+B4', 'A2+B2; A3', 'AB A3+B3'])
      for (const profile of ['round', 'square'] as const) {
        const need = weaveNeed(read(text), { ...wires, profile });
        const laid = lengthOfPath(weavePath(read(text), { ...wires, profile }, 12));
        expect([text, Math.abs(laid / wireFor(need, 12) - 1) < 0.01]).toEqual([text, true]);
      }
    const turn = Math.hypot(Math.PI * 1.3, 0.3);
    const { wire } = weaveNeed(read('A2+B2'), wires);
    // Four turns, and at most one turn of the thickness that it lies over them, and back along two turns of them.
    expect(wire).toBeGreaterThan(4 * turn);
    expect(wire).toBeLessThan(4 * turn + Math.PI * 0.6 + 2 * 0.6 + 0.6);
  });

  it('are written with a plus, and say what stands wrongly beside one another', () => {
    expect(printWeave(read('a2 + b2 ab'))).toBe('A2+B2 AB');
    expect(read(printWeave(read('(A2+B2)2; A3')))).toEqual(read('(A2+B2)2; A3'));
    const said = (text: string) => {
      const parsed = parseWeave(text);
      return parsed.ok ? '' : parsed.error.message;
    };
    expect(said('+A2')).toMatch(/stands between two coils/);
    expect(said('A2+B2+C2')).toMatch(/stands between two coils/);
    expect(said('A2+AB2')).toMatch(/lie on one wire each/);
    expect(said('A2+B3')).toBe('Coils side by side are equal; A2 and B3 are not.');
  });
});

describe('a bent weave', () => {
  it('gets its extra wraps evenly: (r + w)/r on the outer wire', () => {
    // A strip 2 mm wide round a radius of 10 mm: 120 wraps want 24 more, one after every five.
    const extra = extraWraps(120, 2, 10);
    expect(extra).toHaveLength(24);
    expect(extra.slice(0, 3)).toEqual([3, 8, 13]);
    const gaps = extra.slice(1).map((each, index) => each - (extra[index] ?? 0));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
  });

  it('lays more wraps in the room of fewer: as far on, each with its own turn', () => {
    const wires = { base: 0.8, weaving: 0.3 };
    const three: WeaveGroup = { kind: 'wrap', first: 0, last: 0, wraps: 3 };
    const on = { kind: 'wrap', first: 0, last: 1, wraps: 2 } as const;
    const plain: Weave = { repeat: [three, on], close: [] };
    const close: Weave = { repeat: [{ ...three, wraps: 4, fits: 3 }, on], close: [] };
    const [a, b] = [weaveNeed(plain, wires), weaveNeed(close, wires)];
    expect(b.advance).toBe(a.advance);
    // One turn more about one wire: √[(π · 1.1)² + 0.3²].
    expect(b.wire - a.wire).toBeCloseTo(Math.hypot(Math.PI * 1.1, 0.3), 9);
    const ends = [plain, close].map((each) => weavePath(each, wires, 4).at(-1)?.x ?? 0);
    expect(ends[1]).toBeCloseTo(ends[0] ?? 0, 9);
    const fronts = [plain, close].map((each) => weavePath(each, wires, 1).filter(({ z }) => z > 0.54).length);
    expect(fronts[1]).toBeGreaterThan(fronts[0] ?? 0);
  });

  it('falls on two halves, an odd repeat in the middle', () => {
    expect(mirrored(8)).toEqual({ aSide: 4, middle: 0 });
    expect(mirrored(9)).toEqual({ aSide: 4, middle: 1 });
  });
});

it('says a closing part once', () => {
  const need = weaveNeed(read('A3 AB BC; AB A3'), THREE_AND_TWO);
  const only = weaveNeed(read('AB A3'), { ...THREE_AND_TWO, gap: need.gap });
  expect(need.closeWire).toBeCloseTo(only.wire, 9);
  expect(expectOk(parseWeave('A3 AB BC; AB A3')).close).toHaveLength(2);
});
