import { formatMoney, minor } from '@/core/units/money';
import type { ToldSale } from '@/core/selling/stall';
import { tag } from '@/core/tag';
import { HARBOUR_FAIR, selling, sellingStudio } from '../../../tests/support/selling';
import {
  addTestHelper,
  closeBooks,
  done,
  expectBooksAgree,
  newKey,
  problemOf,
} from '../../../tests/support/studio';
import { turnPieces } from '../shelf/pieceLife';
import { pricePiece } from '../shelf/shelf';
import { writeChannel } from './channels';
import { listSales, showSale } from './sales';
import { sellPieces } from './sell';
import { hearStall, showStall } from './stall';
import { listUnsettled, sayNoSale, settleSale, showUnsettled } from './unsettled';

afterAll(closeBooks);

/** A sale as a phone tells it. */
const told = (
  channel: string,
  asked: readonly (readonly [number, string])[],
  gross: number,
  more: object = {},
): ToldSale => ({
  id: newKey(),
  at: Date.UTC(2026, 4, 2, 11, 5),
  typed: selling(channel, asked, more),
  gross: minor(gross),
});

const turning = { turn: 'reserved', to: 'Hesper', note: '' };

describe('what a stall knows', () => {
  it('is what can be sold, for whom it is kept, and what buyers pay; nothing of what it costs', async () => {
    const { session, numbers, channel } = await sellingStudio(4);
    const [one = 0, two = 0, three = 0, four = 0] = numbers;
    done(await turnPieces(session, newKey(), [two], turning));
    done(await turnPieces(session, newKey(), [three], { turn: 'taken to a shop', to: 'The mill', note: '' }));
    done(await turnPieces(session, newKey(), [four], { turn: 'put', to: 'Blue box', note: '' }));
    done(await pricePiece(session, newKey(), one, { version: '1', school: 'market', goingPrice: '42 USD' }));
    const { pieces, channels } = await showStall(session);
    expect(pieces.map(({ number, keptFor, place, price }) => [number, keptFor, place, price])).toEqual([
      [four, null, 'Blue box', null],
      [two, 'Hesper', '', null],
      [one, null, '', 4200],
    ]);
    expect(channels.map(({ id, terms }) => [id, terms.feePercent, terms.packing])).toEqual([[channel, 0, 0]]);
    expect(channels[0]?.terms.tax).toEqual({ kind: 'included', percent: 2000 });
    expect(JSON.stringify({ pieces, channels })).not.toMatch(/cost/i);
  });

  it('begins with fairs, and leaves out where nothing is sold any more', async () => {
    const { session, channel } = await sellingStudio(0);
    done(await writeChannel(session, newKey(), null, { ...HARBOUR_FAIR, name: 'A page', kind: 'online' }));
    done(await writeChannel(session, newKey(), null, { ...HARBOUR_FAIR, name: 'Over', isOpen: false }));
    expect((await showStall(session)).channels.map(({ name }) => name)).toEqual(['Harbour fair', 'A page']);
    expect(channel).not.toBe('');
  });
});

describe('what was sold at a stall', () => {
  it('is entered once however often it is told, and stays with its day and how it was paid', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    const [one = 0, two = 0] = numbers;
    const sale = told(channel, [[one, '30 USD']], 3000, { paidBy: 'cash', given: '50 USD' });
    const helper = await addTestHelper(session);
    const answers = await Promise.all([1, 2, 3].map(() => hearStall(helper, [sale], [])));
    for (const { fates } of answers) expect(fates).toEqual({ [sale.id]: { is: 'sold', number: 1 } });
    expect(answers[0]?.pieces).toEqual([two]);
    const again = await hearStall(session, [sale, told(channel, [[two, '12 USD']], 1200)], []);
    expect(again.pieces).toEqual([]);
    expect(await showSale(session, 1)).toMatchObject({
      soldOn: '2026-05-02',
      paidBy: 'cash',
      given: 5000,
      total: { gross: 3000 },
    });
    expect((await listSales(session)).total).toBe(2);
    await expectBooksAgree();
  });

  it('waits to be settled when it cannot be entered, holds up no other, and takes no number', async () => {
    const { session, numbers, channel } = await sellingStudio(4);
    const [one = 0, two = 0, three = 0, four = 0] = numbers;
    done(await sellPieces(session, newKey(), selling(channel, [[one, '30 USD']])));
    const twice = told(
      channel,
      [
        [one, '28 USD'],
        [two, '20 USD'],
      ],
      4800,
    );
    const strange = told('no channel', [[two, '20 USD']], 2000);
    const other = told(channel, [[three, '20 USD']], 1900);
    const good = told(channel, [[four, '20 USD']], 2000);
    const { fates, pieces } = await hearStall(session, [twice, strange, other, good], []);
    expect(fates).toEqual({
      [twice.id]: { is: 'unsettled', why: `${tag('piece', one)} is sold; it cannot be sold.` },
      [strange.id]: { is: 'unsettled', why: 'Choose where it is sold.' },
      [other.id]: {
        is: 'unsettled',
        why: `${formatMoney(minor(1900), 'USD')} was taken; as prices and tax are now, it comes to ${formatMoney(minor(2000), 'USD')}.`,
      },
      [good.id]: { is: 'sold', number: 2 },
    });
    // Nothing of what waits is entered: its pieces are still to be had.
    expect(pieces).toEqual([three, two]);
    expect(await listUnsettled(session)).toMatchObject(
      [
        { id: twice.id, by: expect.any(String) as string, typed: twice.typed },
        { id: strange.id },
        { id: other.id },
      ].toSorted((a, b) => (a.id < b.id ? -1 : 1)),
    );
    // Told again, it is neither entered nor kept twice, even if it could be entered now.
    const again = await hearStall(session, [other], []);
    expect(again.fates[other.id]?.is).toBe('unsettled');
    expect(await listUnsettled(session)).toHaveLength(3);
    await expectBooksAgree();
  });

  it('is settled as it really was, or as no sale; the stall that told it hears of both', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0, three = 0] = numbers;
    done(await sellPieces(session, newKey(), selling(channel, [[one, '30 USD']])));
    const [mistaken, double] = [
      told(channel, [[one, '28 USD']], 2800),
      told(channel, [[one, '30 USD']], 3000),
    ];
    await hearStall(session, [mistaken, double], []);
    expect(await showUnsettled(session, mistaken.id)).toMatchObject({ typed: mistaken.typed });

    // It was another piece.
    const helper = await addTestHelper(session);
    const still = await settleSale(session, newKey(), mistaken.id, mistaken.typed);
    expect(problemOf(still).fields).toEqual({
      'pieces.0.piece': `${tag('piece', one)} is sold; it cannot be sold.`,
    });
    const settled = done(
      await settleSale(helper, newKey(), mistaken.id, selling(channel, [[two, '28 USD']])),
    );
    expect(settled.number).toBe(2);
    const another = await settleSale(session, newKey(), mistaken.id, selling(channel, [[three, '28 USD']]));
    expect(problemOf(another).message).toBe('Somebody has settled this sale already.');
    // It was told twice.
    expect(problemOf(await sayNoSale(helper, newKey(), double.id, { note: 'twice' })).kind).toBe('forbidden');
    expect(problemOf(await sayNoSale(session, newKey(), double.id, { note: ' ' })).fields).toHaveProperty(
      'note',
    );
    done(await sayNoSale(session, newKey(), double.id, { note: 'typed on both phones' }));
    expect(await listUnsettled(session)).toEqual([]);
    expect(await showUnsettled(session, double.id)).toBeUndefined();
    const heard = await hearStall(session, [double], [mistaken.id]);
    expect(heard.fates).toEqual({
      [mistaken.id]: { is: 'sold', number: 2 },
      [double.id]: { is: 'no sale' },
    });
    expect((await listSales(session)).total).toBe(2);
    await expectBooksAgree();
  });

  it('is one sale where two phones sold the same piece at once; the other waits', async () => {
    const { session, numbers, channel } = await sellingStudio(6);
    const both = numbers.map((piece) => [1, 2].map(() => told(channel, [[piece, '10 USD']], 1000)));
    const phones = [0, 1].map((phone) => both.flatMap((pair) => pair[phone] ?? []));
    const heard = await Promise.all(phones.map((sales) => hearStall(session, sales, [])));
    const fates = heard.flatMap(({ fates: all }) => Object.values(all));
    const receipts = fates.flatMap((fate) => (fate.is === 'sold' ? [fate.number] : []));
    expect(receipts.toSorted((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(fates.filter(({ is }) => is === 'unsettled')).toHaveLength(6);
    expect(await listUnsettled(session)).toHaveLength(6);
    await expectBooksAgree();
  });
});

describe('a channel', () => {
  it('has prices of its own, which are something', async () => {
    const { session, channel } = await sellingStudio(0);
    const write = (more: object) => writeChannel(session, newKey(), channel, { ...HARBOUR_FAIR, ...more });
    done(await write({ pricePercent: '110', endings: ['0 USD', '5 USD'] }));
    expect((await showStall(session)).channels[0]?.pricing).toEqual({
      pricePercent: 11_000,
      endings: [0, 500],
    });
    expect(problemOf(await write({ pricePercent: '0' })).fields).toEqual({
      pricePercent: 'Nothing is sold for no part of its price; give more than 0 %.',
    });
    expect(problemOf(await write({ endings: ['5 EUR'] })).fields).toHaveProperty('endings');
  });
});
