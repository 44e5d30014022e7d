import fc from 'fast-check';
import { mm, um } from '../units/length';
import { cost } from '../units/money';
import { notEnoughFor, settleMaking, type Source } from './making';

const source = (id: string, length: number, price: number, minimum = 50_000): Source => ({
  id,
  specId: `spec of ${id}`,
  length: um(length),
  cost: cost(price),
  usefulMinimum: um(minimum),
});

describe('settling a making', () => {
  it('takes what was spoiled first, then the cuts in order, then scraps what is too short', () => {
    const { movements, offCuts, left } = settleMaking(
      [source('a', 400_000, 4000)],
      [
        { from: 'a', cut: mm(200), back: [mm(60)] },
        { from: 'a', cut: mm(120), back: [] },
      ],
      [{ from: 'a', length: mm(40), reason: 'snapped' }],
    );
    expect(movements).toEqual([
      { kind: 'spoiled', from: 'a', length: -40_000, cost: -400, reason: 'snapped' },
      { kind: 'cut', from: 'a', length: -200_000, cost: -2000, reason: '' },
      { kind: 'cut', from: 'a', length: -120_000, cost: -1200, reason: '' },
      { kind: 'scrapped', from: 'a', length: -40_000, cost: -400, reason: 'too short to keep' },
    ]);
    expect(offCuts).toEqual([{ from: 'a', specId: 'spec of a', length: 60_000, cost: 600 }]);
    expect(left.get('a')).toEqual({ length: 0, cost: 0 });
  });

  it('leaves alone what was not touched', () => {
    const { left } = settleMaking(
      [source('a', 9000, 10), source('b', 400_000, 10)],
      [{ from: 'b', cut: mm(100), back: [] }],
      [],
    );
    expect([...left.keys()]).toEqual(['b']);
  });

  it('refuses a source that is not there or does not hold enough', () => {
    expect(() => settleMaking([], [{ from: 'a', cut: mm(1), back: [] }], [])).toThrow(RangeError);
    expect(() => settleMaking([source('a', 1000, 10)], [{ from: 'a', cut: mm(2), back: [] }], [])).toThrow(
      RangeError,
    );
  });

  it('tells beforehand which lengths would be overrun, and by how much', () => {
    const sources = [source('a', 100_000, 10), source('b', 100_000, 10)];
    const cuts = [
      { from: 'a', cut: mm(70), back: [] },
      { from: 'b', cut: mm(100), back: [] },
    ];
    expect(notEnoughFor(sources, cuts, [{ from: 'a', length: mm(40), reason: '' }])).toEqual([
      { id: 'a', specId: 'spec of a', has: 100_000, wanted: 110_000 },
    ]);
  });

  it('conserves every micrometre and every cost unit, over any cuts from any sources', () => {
    const part = fc.double({ min: 0, max: 1, noNaN: true });
    const event = fc.record({ of: fc.nat(2), spoiled: fc.boolean(), part, back: part });
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 1, max: 9_000_000 }),
            fc.integer({ min: 0, max: 90_000_000 }),
            fc.integer({ min: 0, max: 200_000 }),
          ),
          {
            minLength: 3,
            maxLength: 3,
          },
        ),
        fc.array(event, { maxLength: 25 }),
        (rack, events) => {
          const sources = rack.map(([length, price, minimum], index) =>
            source(String(index), length, price, minimum),
          );
          const open = sources.map(({ length }) => length as number);
          const cuts: { from: string; cut: ReturnType<typeof um>; back: ReturnType<typeof um>[] }[] = [];
          const spoiled: { from: string; length: ReturnType<typeof um>; reason: string }[] = [];
          for (const { of, spoiled: lost, part: share, back } of events) {
            const take = Math.floor((open[of] ?? 0) * share);
            if (take === 0) continue;
            open[of] = (open[of] ?? 0) - take;
            if (lost) spoiled.push({ from: String(of), length: um(take), reason: 'marred' });
            else cuts.push({ from: String(of), cut: um(take), back: [um(Math.floor(take * back))] });
          }
          expect(notEnoughFor(sources, cuts, spoiled)).toEqual([]);
          const { movements, left } = settleMaking(sources, cuts, spoiled);
          for (const { id, length, cost: price } of sources) {
            const own = movements.filter(({ from }) => from === id);
            const after = left.get(id) ?? { length, cost: price };
            expect(after.length).toBe(length + own.reduce((sum, each) => sum + each.length, 0));
            expect(after.cost).toBe(price + own.reduce((sum, each) => sum + each.cost, 0));
            expect(after.length).toBeGreaterThanOrEqual(0);
            expect(after.cost).toBeGreaterThanOrEqual(0);
            if (after.length === 0) expect(after.cost).toBe(0);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});
