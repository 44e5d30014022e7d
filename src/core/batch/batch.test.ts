import fc from 'fast-check';
import type { StockLength } from '../cuttingStock/propose';
import type { PatternBody } from '../pattern/pattern';
import { mm } from '../units/length';
import { cost } from '../units/money';
import {
  countWires,
  cutCounter,
  cutKey,
  cutsOfBatch,
  minutesOfBatch,
  partsOfBatch,
  stepsOfBatch,
  type BatchLine,
} from './batch';
import { partKey } from '../part/partKey';
import { enoughFor, mostPieces, type FreeStock } from './enough';

type Body = BatchLine['body'];
const cut = (specId: string, net: number, count = 1): PatternBody['cuts'][number] => ({
  name: 'wire',
  specId,
  count,
  net: mm(net),
  allowances: [{ name: 'trim', length: mm(5) }],
});
const body = (more: Partial<Body>): Body => ({ name: 'Weir', cuts: [], parts: [], steps: [], ...more });
const part = (name: string, count: number) => ({ name, count, unitCost: cost(0) });
const off = (id: string, specId: string, length: number): StockLength => ({
  id,
  specId,
  length: mm(length),
  isOffCut: true,
});

const RING = body({
  cuts: [cut('20', 95), cut('28', 195)],
  parts: [part('6 mm garnet', 1)],
  steps: [
    { name: 'set up', minutes: 10, perSitting: true },
    { name: 'wrap', minutes: 15, perSitting: false },
  ],
});
const DROP = body({ cuts: [cut('20', 45, 2)], parts: [part('6 mm  Garnet ', 2), part('ear wire', 2)] });

const LINES: readonly BatchLine[] = [
  { line: 1, count: 3, body: RING },
  { line: 2, count: 2, body: DROP },
];

describe('a batch', () => {
  it('comes to one cut list, with the allowances, piece by piece', () => {
    const cuts = cutsOfBatch(LINES);
    expect(cuts).toHaveLength(3 * 2 + 2 * 2);
    expect(
      cuts.filter(({ line, piece }) => line === 2 && piece === 1).map(({ name, length }) => [name, length]),
    ).toEqual([
      ['wire 1 of 2', mm(50)],
      ['wire 2 of 2', mm(50)],
    ]);
  });

  it('comes to one pick list, whatever the capitals', () => {
    expect(partsOfBatch(LINES)).toEqual([
      { name: '6 mm garnet', count: 3 + 4 },
      { name: 'ear wire', count: 4 },
    ]);
  });

  it('is set up once for each line', () => {
    expect(stepsOfBatch(LINES)).toEqual([
      { line: 1, name: 'set up', minutes: 10, once: true },
      { line: 1, name: 'wrap', minutes: 45, once: false },
    ]);
    expect(minutesOfBatch(LINES)).toBe(55);
    expect(minutesOfBatch([{ line: 1, count: 0, body: RING }])).toBe(0);
    // What is called the same is done once for several lines, in the time of the longest.
    const longer = body({ steps: [{ name: 'Set  up', minutes: 25, perSitting: true }] });
    const both = [...LINES, { line: 3, count: 4, body: longer }];
    expect(stepsOfBatch(both).filter(({ once }) => once)).toEqual([
      { line: 1, name: 'set up', minutes: 25, once: true },
    ]);
    expect(minutesOfBatch(both)).toBe(70);
  });
});

describe('enough', () => {
  const free: FreeStock = {
    wires: [off('a', '20', 210), off('b', '20', 130), off('c', '28', 450)],
    parts: new Map([
      ['6 mm garnet', 20],
      ['ear wire', 3],
    ]),
  };

  it('says of each wire and part what is needed, free and short, and what it is enough for', () => {
    const { wires, parts } = enoughFor(LINES, free);
    expect(wires).toMatchObject([
      // 3 × 100 and 4 × 50 of 340: two hundreds of 210, one of 130, and nothing for the others.
      {
        specId: '20',
        cuts: 7,
        needed: mm(500),
        free: mm(340),
        longestFree: mm(210),
        short: mm(200),
        pieces: 3,
      },
      { specId: '28', cuts: 3, needed: mm(600), free: mm(450), short: mm(200), shortCuts: 1, pieces: 4 },
    ]);
    expect(parts).toMatchObject([
      { name: '6 mm garnet', needed: 7, free: 20, short: 0, pieces: 5 },
      { name: 'ear wire', needed: 4, free: 3, short: 1, pieces: 4 },
    ]);
  });

  it('says what holds it up, and how many pieces can be made now', () => {
    const { bottleneck, complete } = enoughFor(LINES, free);
    expect(bottleneck).toMatchObject({ specId: '20', pieces: 3 });
    // Two rings for want of 28 ga; then 140 of 20 ga are left: one pair of drops.
    expect([...complete]).toEqual([
      [1, 2],
      [2, 1],
    ]);
  });

  it('names nothing when there is enough of everything', () => {
    const plenty: FreeStock = {
      wires: [off('a', '20', 9000), off('c', '28', 9000)],
      parts: new Map([
        [partKey('6 MM Garnet'), 7],
        ['ear wire', 4],
      ]),
    };
    const { bottleneck, complete, wires } = enoughFor(LINES, plenty);
    expect(bottleneck).toBeUndefined();
    expect([...complete.values()]).toEqual([3, 2]);
    expect(wires.every(({ short }) => short === 0)).toBe(true);
  });

  it('more stock never makes fewer pieces, and complete pieces never use more than there is', () => {
    const lengths = fc.array(fc.integer({ min: 20, max: 400 }), { maxLength: 6 });
    fc.assert(
      fc.property(
        lengths,
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 0, max: 6 }),
        (all, garnets, wires) => {
          const stock = (parts: number): FreeStock => ({
            wires: [...all.map((length, index) => off(`o${index}`, '20', length)), off('c', '28', 2000)],
            parts: new Map([
              ['6 mm garnet', parts],
              ['ear wire', wires],
            ]),
          });
          const made = (parts: number) => enoughFor(LINES, stock(parts)).complete;
          const count = (counts: ReadonlyMap<number, number>) =>
            [...counts.values()].reduce((a, b) => a + b, 0);
          expect((made(garnets + 1).get(1) ?? 0) >= (made(garnets).get(1) ?? 0)).toBe(true);
          const complete = made(garnets);
          const used = LINES.map((line) => ({ ...line, count: complete.get(line.line) ?? 0 }));
          for (const { name, count: needs } of partsOfBatch(used))
            expect(needs).toBeLessThanOrEqual(stock(garnets).parts.get(partKey(name)) ?? 0);
          expect(cutsOfBatch(used).reduce((sum, { length }) => sum + length, 0)).toBeLessThanOrEqual(
            all.reduce((sum, length) => sum + length * 1000, 0) + 2_000_000,
          );
          expect(count(complete)).toBeLessThanOrEqual(5);
        },
      ),
    );
  });

  it('counts wires as naming each does, whatever is cut already', () => {
    const counts = fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 2 });
    fc.assert(
      fc.property(counts, counts, fc.array(fc.boolean(), { maxLength: 40 }), (most, now, cut) => {
        const linesOf = (of: readonly number[]) => LINES.map((line, at) => ({ ...line, count: of[at] ?? 0 }));
        const done = new Set(
          cutsOfBatch(linesOf(most))
            .filter((_, at) => cut[at])
            .map(cutKey),
        );
        const perLength = (cuts: readonly { specId: string; length: number; count?: number }[]) => {
          const tally: Record<string, number> = {};
          for (const { specId, length, count = 1 } of cuts)
            tally[`${specId} ${length}`] = (tally[`${specId} ${length}`] ?? 0) + count;
          return tally;
        };
        const lines = linesOf(now);
        expect(perLength(cutCounter(done)(lines))).toEqual(perLength(cutsOfBatch(lines, done)));
        expect(countWires(lines)).toBe(cutsOfBatch(lines).length);
      }),
    );
  });

  it('the most pieces are found by halving', () => {
    const asked: number[] = [];
    const most = mostPieces([{ line: 1, count: 1000, body: RING }], ([line]) => {
      asked.push(line?.count ?? 0);
      return (line?.count ?? 0) <= 617;
    });
    expect(most.get(1)).toBe(617);
    expect(asked.length).toBeLessThanOrEqual(11);
  });
});
