import fc from 'fast-check';
import { beside, MOST_IN_SITTING, pieceAt, reworkSlot, stationsOf, type Station } from './stations';

const steps = [{ perSitting: true }, { perSitting: false }, { perSitting: false }];
const said = (station: Station): string =>
  station.kind === 'step'
    ? `step ${station.step}${station.piece === null ? '' : ` of ${station.piece}`}`
    : station.kind;

describe('the stations of a sitting', () => {
  it('are each step on all pieces before the next one', () => {
    expect(stationsOf(steps, 2).map(said)).toEqual([
      'layOut',
      'step 0',
      'step 1 of 0',
      'step 1 of 1',
      'step 2 of 0',
      'step 2 of 1',
      'inspect',
      'inspect',
      'finish',
    ]);
  });

  it('lead to the end and back, past pieces that are lost and no others', () => {
    const some = fc.array(fc.record({ perSitting: fc.boolean() }), { maxLength: 8 });
    const lost = fc.uniqueArray(fc.nat({ max: 5 }));
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 6 }), lost, (own, count, gone) => {
        const stations = stationsOf(own, count);
        const isOut = (piece: number) => gone.includes(piece);
        const way: number[] = [0];
        for (;;) {
          const at = way.at(-1) ?? 0;
          const next = beside(stations, at, 1, isOut);
          if (next === at) break;
          way.push(next);
        }
        const wanted = stations.flatMap((station, at) => {
          const piece = pieceAt(station);
          return piece === null || !isOut(piece) ? [at] : [];
        });
        expect(way).toEqual(wanted);
        const back = [...way].reverse();
        expect(back.slice(0, -1).map((at) => beside(stations, at, -1, isOut))).toEqual(back.slice(1));
      }),
    );
  });

  it('have a slot for the rework of each piece behind them', () => {
    const stations = stationsOf(steps, MOST_IN_SITTING);
    const slots = Array.from({ length: MOST_IN_SITTING }, (_, piece) => reworkSlot(stations, piece));
    expect(Math.min(...slots)).toBe(stations.length);
    expect(new Set(slots).size).toBe(MOST_IN_SITTING);
  });
});
