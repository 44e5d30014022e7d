import fc from 'fast-check';
import { mm, um } from '../units/length';
import { cost } from '../units/money';
import { proposeCuts, type Demand, type StockLength } from './propose';
import { isScrap, settleCut, usefulMinimumFor } from '../making/settle';

const piece = (id: string, length: number, isOffCut = true, specId = 's'): StockLength => ({
  id,
  specId,
  length: mm(length),
  isOffCut,
});
const want = (length: number, specId = 's') => ({ specId, length: mm(length) });

describe('proposing what to cut from', () => {
  it('takes the off-cut that leaves least, before any spool', () => {
    const { from } = proposeCuts(
      [want(100)],
      [piece('spool', 100, false), piece('long', 300), piece('snug', 110)],
    );
    expect(from).toEqual(['snug']);
  });

  it('finishes the spool with least on it', () => {
    const { from } = proposeCuts(
      [want(100)],
      [piece('full', 9000, false), piece('open', 400, false), piece('stub', 90)],
    );
    expect(from).toEqual(['open']);
  });

  it('places the longest cuts first so that a short one does not spoil a long off-cut', () => {
    const { from, shortages } = proposeCuts([want(90), want(200)], [piece('a', 205), piece('b', 95)]);
    expect(from).toEqual(['b', 'a']);
    expect(shortages).toEqual([]);
  });

  it('says what is missing, of what, and whether one length would have been long enough', () => {
    const { from, shortages } = proposeCuts(
      [want(254), want(254), want(50, 'thin')],
      [piece('a', 300), piece('b', 180)],
    );
    expect(from).toEqual(['a', null, null]);
    expect(shortages).toEqual([
      { specId: 's', missing: 254_000, cuts: 1, longestCut: 254_000, longestInStock: 300_000 },
      { specId: 'thin', missing: 50_000, cuts: 1, longestCut: 50_000, longestInStock: 0 },
    ]);
  });

  it('never overruns a piece, never mixes specs, and places whatever one spool could hold', () => {
    const lengths = fc.integer({ min: 1, max: 500 });
    const specs = fc.constantFrom('s', 't');
    fc.assert(
      fc.property(
        fc.array(fc.tuple(lengths, specs), { maxLength: 20 }),
        fc.array(fc.tuple(lengths, specs, fc.boolean()), { maxLength: 12 }),
        (wanted, rack) => {
          const demands = wanted.map(([length, spec]) => want(length, spec));
          const stock = rack.map(([length, spec, off], index) => piece(String(index), length, off, spec));
          const { from, shortages } = proposeCuts(demands, stock);
          for (const each of stock) {
            const cut = demands.filter((_, index) => from[index] === each.id);
            expect(cut.every(({ specId }) => specId === each.specId)).toBe(true);
            expect(cut.reduce((sum, { length }) => sum + length, 0)).toBeLessThanOrEqual(each.length);
          }
          const unmet = demands.filter((_, index) => from[index] === null);
          expect(shortages.reduce((sum, { missing }) => sum + missing, 0)).toBe(
            unmet.reduce((sum, { length }) => sum + length, 0),
          );
          const enough = [...demands.map((d) => d.specId)].map((spec) =>
            piece(`big-${spec}`, 20_000, false, spec),
          );
          expect(proposeCuts(demands, [...stock, ...enough]).shortages).toEqual([]);
        },
      ),
    );
  });
});

describe('settling a cut', () => {
  const from = { length: mm(1000), cost: cost(30_001) };

  it('takes its share of the cost and leaves the rest', () => {
    const settled = settleCut(from, { cut: mm(200), back: [] }, mm(50));
    expect(settled).toEqual({
      taken: [{ kind: 'cut', length: 200_000, cost: 6000 }],
      offCuts: [],
      left: { length: 800_000, cost: 24_001 },
    });
  });

  it('keeps what came back as an off-cut when it is long enough, and scraps it when not', () => {
    expect(settleCut(from, { cut: mm(200), back: [mm(60)] }, mm(50))).toMatchObject({
      taken: [{ kind: 'cut', length: 200_000, cost: 6000 }],
      offCuts: [{ length: 60_000, cost: 1800 }],
    });
    expect(settleCut(from, { cut: mm(200), back: [mm(40)] }, mm(50))).toMatchObject({
      taken: [
        { kind: 'cut', length: 160_000, cost: 4800 },
        { kind: 'scrapped', length: 40_000, cost: 1200 },
      ],
      offCuts: [],
    });
  });

  it('two tails that are each too short are scrap, however long they are together', () => {
    expect(settleCut(from, { cut: mm(200), back: [mm(30), mm(30)] }, mm(50))).toMatchObject({
      taken: [
        { kind: 'cut', length: 140_000, cost: 4200 },
        { kind: 'scrapped', length: 60_000, cost: 1800 },
      ],
      offCuts: [],
    });
    expect(settleCut(from, { cut: mm(200), back: [mm(60), mm(30)] }, mm(50)).offCuts).toEqual([
      { length: 60_000, cost: 1800 },
    ]);
  });

  it('conserves length and cost for any cut', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20_000_000 }),
        fc.integer({ min: 0, max: 500_000_000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 4 }),
        fc.integer({ min: 0, max: 200_000 }),
        (length, price, cutPart, parts, minimum) => {
          const cut = um(Math.max(1, Math.floor(length * cutPart)));
          const back = parts.map((part) => um(Math.floor((cut * part) / parts.length)));
          const { taken, left, offCuts } = settleCut(
            { length: um(length), cost: cost(price) },
            { cut, back },
            um(minimum),
          );
          expect(taken.reduce((sum, each) => sum + each.length, 0) + left.length).toBe(length);
          expect(taken.reduce((sum, each) => sum + each.cost, 0) + left.cost).toBe(price);
          // Off-cuts are the pieces that are long enough, none more and none less, and together carry no more than was cut.
          expect(offCuts.map((each) => each.length)).toEqual(
            back.filter((each) => each > 0 && each >= minimum),
          );
          expect(offCuts.reduce((sum, each) => sum + each.cost, 0)).toBeLessThanOrEqual(
            taken.reduce((sum, each) => sum + each.cost, 0),
          );
        },
      ),
    );
  });

  it('refuses a cut longer than the piece or more back than was cut', () => {
    expect(() => settleCut(from, { cut: mm(1001), back: [] }, mm(50))).toThrow(RangeError);
    expect(() => settleCut(from, { cut: mm(10), back: [mm(11)] }, mm(50))).toThrow(RangeError);
  });

  it('scraps what is shorter than the useful minimum of its spec, metal or studio', () => {
    const minimums = { bySpec: { a: 10_000 }, byMetal: { sterling: 30_000 }, otherwise: 75_000 };
    expect(usefulMinimumFor({ id: 'a', metal: 'sterling' }, minimums)).toBe(10_000);
    expect(usefulMinimumFor({ id: 'b', metal: 'sterling' }, minimums)).toBe(30_000);
    expect(usefulMinimumFor({ id: 'b', metal: 'copper' }, minimums)).toBe(75_000);
    expect(isScrap(mm(29), mm(30))).toBe(true);
    expect(isScrap(mm(30), mm(30))).toBe(false);
    expect(isScrap(um(0), mm(30))).toBe(false);
  });
});

describe('best fit by lots', () => {
  /** One wire after the other, each from the piece that leaves least, off-cuts first: as it is done by hand. */
  function oneByOne(demands: readonly Demand[], stock: readonly StockLength[]): (string | null)[] {
    const left = new Map(stock.map(({ id, length }) => [id, length as number]));
    const from: (string | null)[] = demands.map(() => null);
    const order = demands.map((_, index) => index);
    order.sort((a, b) => (demands[b]?.length ?? 0) - (demands[a]?.length ?? 0) || a - b);
    for (const index of order) {
      const { specId, length } = demands[index] as Demand;
      const fitting = stock.filter((piece) => piece.specId === specId && (left.get(piece.id) ?? 0) >= length);
      const offCuts = fitting.filter(({ isOffCut }) => isOffCut);
      const choice = (offCuts.length > 0 ? offCuts : fitting).reduce<StockLength | undefined>(
        (best, piece) => (best && (left.get(best.id) ?? 0) <= (left.get(piece.id) ?? 0) ? best : piece),
        undefined,
      );
      if (!choice) continue;
      from[index] = choice.id;
      left.set(choice.id, (left.get(choice.id) ?? 0) - length);
    }
    return from;
  }

  it('takes each wire from the piece that one by one would', () => {
    const specs = fc.constantFrom('20', '26');
    const few = fc.integer({ min: 1, max: 12 }).map((part) => um(part * 10_000));
    fc.assert(
      fc.property(
        fc.array(fc.record({ specId: specs, length: few }), { maxLength: 25 }),
        fc.array(fc.record({ specId: specs, length: few, isOffCut: fc.boolean() }), { maxLength: 12 }),
        (demands, lengths) => {
          const stock = lengths.map((piece, index): StockLength => ({ ...piece, id: `p${index}` }));
          expect(proposeCuts(demands, stock).from).toEqual(oneByOne(demands, stock));
        },
      ),
      { numRuns: 500 },
    );
  });
});
