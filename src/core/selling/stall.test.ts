import fc from 'fast-check';
import { day } from '../calendar/day';
import { minor } from '../units/money';
import {
  answered,
  EMPTY_STALL,
  goneHere,
  isOnlyHere,
  readStall,
  readTold,
  sellHere,
  takeBackHere,
  tillOf,
  toggled,
  told,
  unsettled,
  waiting,
  type Fate,
  type StallKept,
  type StallSale,
} from './stall';

const NOON = Date.UTC(2026, 4, 2, 12);
const DAY_MS = 86_400_000;

const sale = (id: string, pieces: readonly number[], more: Partial<StallSale> = {}) => ({
  id,
  at: NOON,
  typed: {
    ...{ channel: 'fair', soldOn: '2026-05-02', letGo: 'nothing', off: '', paidBy: 'cash', given: '' },
    ...{ buyer: '', note: '' },
    pieces: pieces.map((piece) => ({ piece: `F-000${piece}`, asked: '10 USD' })),
  },
  pieces,
  gross: minor(pieces.length * 1000),
  change: null,
  ...more,
});

/** As it comes back from the device after a reload. */
const reloaded = (kept: StallKept): StallKept => readStall(JSON.stringify(kept));

describe('a stall on a device', () => {
  it('sells what lies in its basket, and keeps that through a reload', () => {
    const full = [3, 1, 2, 1].reduce(toggled, { ...EMPTY_STALL, channel: 'fair', box: 'Blue box' });
    expect(full.basket).toEqual([3, 2]);
    const sold = reloaded(sellHere(full, sale('a', [3])));
    expect(sold).toMatchObject({ channel: 'fair', box: 'Blue box', basket: [2] });
    expect(waiting(sold).map(({ id }) => id)).toEqual(['a']);
    expect([...goneHere(sold)]).toEqual([3]);
    // Pressed twice, it is sold once.
    expect(sellHere(sold, sale('a', [3])).sales).toHaveLength(1);
  });

  it('takes a sale back only while nobody else can know of it', () => {
    const sold = sellHere(EMPTY_STALL, sale('a', [3, 4]));
    expect(sold.sales.every(isOnlyHere)).toBe(true);
    expect(takeBackHere(sold, 'a')).toEqual({ ...EMPTY_STALL, basket: [3, 4] });
    const gone = told(sold, ['a']);
    expect(takeBackHere(gone, 'a')).toBe(gone);
    // A lost answer may have been a receipt.
    expect(takeBackHere(reloaded(gone), 'a').sales).toHaveLength(1);
  });

  it('knows what became of each sale', () => {
    const three = ['a', 'b', 'c'].reduce((kept, id, index) => sellHere(kept, sale(id, [index])), EMPTY_STALL);
    const heard = reloaded(
      answered(told(three, ['a', 'b']), {
        a: { is: 'sold', number: 7 },
        b: { is: 'unsettled', why: 'F-0001 is sold; it cannot be sold.' },
      }),
    );
    expect(heard.sales.map(({ fate }) => fate?.is ?? null)).toEqual(['sold', 'unsettled', null]);
    expect(waiting(heard).map(({ id }) => id)).toEqual(['c']);
    expect(unsettled(heard).map(({ id }) => id)).toEqual(['b']);
    // What has its receipt is for the studio to say; the rest is gone as far as this device knows.
    expect([...goneHere(heard)]).toEqual([1, 2]);
  });

  it('counts what lies in the till by how it was paid, without what was no sale', () => {
    const kept = [
      sale('a', [1, 2]),
      sale('b', [3], { typed: { ...sale('b', [3]).typed, paidBy: 'card' } }),
      sale('c', [4]),
      sale('d', [5], { typed: { ...sale('d', [5]).typed, soldOn: '2026-05-01' } }),
    ].reduce(sellHere, EMPTY_STALL);
    const till = tillOf(answered(kept, { c: { is: 'no sale' } }), day('2026-05-02'));
    expect(till).toMatchObject({ sales: 2, pieces: 3, all: 3000 });
    expect(till.taken).toMatchObject({ cash: 2000, card: 1000, transfer: 0 });
  });

  it('lets go of what is over after two weeks, and of nothing that is not', () => {
    const old = (id: string, fate: Fate | null): StallSale => ({
      ...sale(id, [1], { at: NOON - 15 * DAY_MS }),
      isTold: true,
      fate,
    });
    const kept = {
      ...EMPTY_STALL,
      sales: [
        old('sold', { is: 'sold', number: 1 }),
        old('open', { is: 'unsettled', why: '' }),
        old('w', null),
      ],
    };
    expect(sellHere(kept, sale('new', [2])).sales.map(({ id }) => id)).toEqual(['open', 'w', 'new']);
  });

  it('reads what it can of what is damaged', () => {
    const kept = answered(
      ['a', 'b'].reduce((now, id) => sellHere(now, sale(id, [1])), EMPTY_STALL),
      {
        a: { is: 'sold', number: 3 },
      },
    );
    const [first, second] = JSON.parse(JSON.stringify(kept.sales)) as Record<string, unknown>[];
    const read = readStall(
      JSON.stringify({
        basket: [1, 'two', 3.5, 4],
        sales: [first, { ...second, fate: 9, pieces: 'x', isTold: 'maybe' }, 7, { ...first, typed: null }],
      }),
    );
    expect(read.basket).toEqual([1, 4]);
    expect(read.sales.map(({ id, fate, pieces, isTold }) => [id, fate, pieces, isTold])).toEqual([
      ['a', { is: 'sold', number: 3 }, [1], false],
      ['b', null, [], true],
    ]);
    for (const broken of [null, '', '{', '[]', '7', '{"sales":7}'])
      expect(readStall(broken)).toEqual(EMPTY_STALL);
    expect(readTold({ ...sale('a', [1]), at: -1 })).toBeUndefined();
    expect(
      readTold({ ...sale('a', [1]), typed: { ...sale('a', [1]).typed, pieces: [{ piece: 1 }] } }),
    ).toBeUndefined();
  });
});

describe('two stalls that tell one studio', () => {
  it('have each sale entered once or told as unsettled, whatever is lost on the way', () => {
    const anyAct = fc.record({
      device: fc.nat(1),
      does: fc.constantFrom('sell', 'take back', 'tell', 'tell, and the answer is lost', 'reload'),
      piece: fc.nat(5),
    });
    fc.assert(
      fc.property(fc.array(anyAct, { maxLength: 60 }), (acts) => {
        const devices = [EMPTY_STALL, EMPTY_STALL];
        /** A studio of its own: the first to tell of a piece has sold it. */
        const fates = new Map<string, Fate>();
        const soldBy = new Map<number, string>();
        const made = new Set<string>();
        const hear = (each: StallSale): Fate => {
          const before = fates.get(each.id);
          if (before) return before;
          const isFree = each.pieces.every((piece) => !soldBy.has(piece));
          if (isFree) each.pieces.forEach((piece) => soldBy.set(piece, each.id));
          const fate: Fate = isFree
            ? { is: 'sold', number: fates.size + 1 }
            : { is: 'unsettled', why: 'sold twice' };
          fates.set(each.id, fate);
          return fate;
        };
        const tell = (index: number, isLost: boolean) => {
          const kept = devices[index] ?? EMPTY_STALL;
          const sent = told(
            kept,
            waiting(kept).map(({ id }) => id),
          );
          const answers = Object.fromEntries(waiting(sent).map((each) => [each.id, hear(each)]));
          devices[index] = isLost ? sent : answered(sent, answers);
        };
        acts.forEach(({ device, does, piece }, index) => {
          const kept = devices[device] ?? EMPTY_STALL;
          if (does === 'sell' && !goneHere(kept).has(piece)) {
            made.add(String(index));
            devices[device] = sellHere(kept, sale(String(index), [piece]));
          } else if (does === 'take back') {
            const last = kept.sales.at(-1);
            devices[device] = takeBackHere(kept, last?.id ?? '');
            if (last && devices[device] !== kept) made.delete(last.id);
          } else if (does === 'reload') devices[device] = reloaded(kept);
          else if (does.startsWith('tell')) tell(device, does !== 'tell');
        });
        devices.forEach((_, index) => tell(index, false));
        expect([...fates.keys()].toSorted()).toEqual([...made].toSorted());
        for (const kept of devices)
          for (const each of kept.sales) expect(each.fate).toEqual(fates.get(each.id));
        expect(devices.flatMap(waiting)).toEqual([]);
      }),
    );
  });
});
