import { daysLater, type Day } from '@/core/calendar/day';
import { tag } from '@/core/tag';
import { fromTray, make, cutNext } from '../../../tests/support/cuttingTable';
import { planned, studioWithPattern, view } from '../../../tests/support/batches';
import { HARBOUR_FAIR, returning, selling } from '../../../tests/support/selling';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  expectBooksAgree,
  makeOne,
  newKey,
  problemOf,
} from '../../../tests/support/studio';
import { findAnything } from '../find/findAnything';
import { todayOf, type StudioSession } from '../kernel/useCase';
import { showSchedule } from '../schedule/benchHours';
import { listChannels, writeChannel } from '../selling/channels';
import { forSale, showSale } from '../selling/sales';
import { takeReturn } from '../selling/sell';
import { showPiece } from '../shelf/shelf';
import { acceptOrder, cancelOrder, handOver, payOrder } from './orderActs';
import { handOverOf, listOrders, orderOfBatch, showOrder } from './orders';
import { EMPTY_ORDER_LINE } from './orders.input';
import { writeOrder } from './writeOrder';

afterAll(closeBooks);

/** A studio that takes orders: a fifth of tax is added, sending costs its buyer 6.00; with a pattern of one cut. */
async function orderStudio(more: object = {}) {
  const studio = await studioWithPattern();
  const terms = { kind: 'to order', name: 'To order', feePercent: '0', feeFixed: '0 USD' };
  const asked = { postageAsked: '6 USD', taxKind: 'added', ...more };
  done(await writeChannel(studio.session, newKey(), null, { ...HARBOUR_FAIR, ...terms, ...asked }));
  const [channel] = await listChannels(studio.session);
  if (!channel) throw new Error('it is written down');
  return { ...studio, channel: channel.id };
}

const orderForm = (channel: string, pattern: number, more: object = {}) => ({
  channel,
  buyer: 'Ines',
  address: 'Mill Lane 2\n70123 Ferrol',
  wishes: 'a little longer than the one at the fair',
  validUntil: '',
  dueOn: '',
  deposit: '30 USD',
  payDays: '0',
  lines: [{ ...EMPTY_ORDER_LINE, pattern: String(pattern), count: '2', price: '60 USD' }],
  ...more,
});

const paying = (amount: string, more: object = {}) => ({
  ...{ way: 'taken', amount, paidBy: 'card', paidOn: '2026-05-02', note: '' },
  ...more,
});

const shown = async (session: StudioSession, number: number) => {
  const order = await showOrder(session, number);
  if (!order) throw new Error('it is there');
  return order;
};

async function accepted(session: StudioSession, number: number, dueOn: Day | '' = '', isMade = true) {
  const { version } = await shown(session, number);
  return acceptOrder(session, newKey(), number, { version: String(version), dueOn, isMade });
}

describe('an order', () => {
  it('is quoted, ordered with a deposit, made as a batch that is due then, and handed over for the rest', async () => {
    const { session, pattern, channel } = await orderStudio();
    const { number } = done(await writeOrder(session, newKey(), null, orderForm(channel, pattern)));
    // 2 × 60.00 and 6.00 of sending are 126.00, with a fifth of tax 151.20; two boxes of 0.40 cost the studio 0.80.
    expect(await shown(session, number)).toMatchObject({
      standing: 'quoted',
      buyer: 'Ines',
      total: { net: 12_600, tax: 2520, gross: 15_120 },
      postage: 720,
      left: 12_520,
      toPay: 15_120,
      lines: [{ patternNumber: pattern, count: 2, price: 6000, made: null }],
    });

    const due = daysLater(todayOf(session), 21);
    const { batch } = done(await accepted(session, number, due));
    if (batch === null) throw new Error('it is made');
    expect(await view(session, batch)).toMatchObject({
      name: `${tag('order', number)} for Ines`,
      dueOn: due,
      notes: 'a little longer than the one at the fair',
      lines: [{ patternNumber: pattern, count: 2 }],
    });
    expect(await orderOfBatch(session, batch)).toBe(number);
    const { batches } = await showSchedule(session);
    expect(batches).toEqual([expect.objectContaining({ number: batch, dueOn: due })]);

    expect(done(await payOrder(session, newKey(), number, paying('30 USD')))).toEqual({ number: 1 });
    expect(await shown(session, number)).toMatchObject({ standing: 'ordered', paid: 3000, toPay: 12_120 });
    expect(await listOrders(session)).toMatchObject({ ordered: 1, held: 3000, owed: 0 });

    await planned(session, batch);
    await cutNext(session, batch);
    await cutNext(session, batch);
    done(await make(session, await fromTray(session, batch)));
    done(await make(session, await fromTray(session, batch)));
    const ready = await handOverOf(session, number);
    expect(ready?.found).toEqual([2]);
    expect(ready?.typed.pieces.map(({ asked }) => asked)).toEqual(['60.00 USD', '60.00 USD']);
    expect((await shown(session, number)).lines).toMatchObject([{ made: 2 }]);
    // Whoever sells at a fair is told whose they are, and another order does not take them.
    const helper = await addTestHelper(session);
    const numbers = (ready?.typed.pieces ?? []).map(({ piece }) => Number(piece.slice(2)));
    expect((await forSale(helper, numbers)).map(({ keptFor }) => keptFor)).toEqual(['Ines', 'Ines']);
    const another = done(await writeOrder(session, newKey(), null, orderForm(channel, pattern)));
    done(await accepted(session, another.number, '', false));
    expect((await handOverOf(session, another.number))?.found).toEqual([0]);

    // 151.20 less 30.00 are 121.20: 130.00 in cash give 8.80 back.
    const form = { ...ready?.typed, paidBy: 'cash', given: '121.19 USD' };
    expect(problemOf(await handOver(session, newKey(), number, form)).fields).toEqual({
      given: expect.stringMatching(/121\.20.* is to pay, .*0\.01 more/) as string,
    });
    const sale = done(await handOver(session, newKey(), number, { ...form, given: '130 USD' }));
    expect(await showSale(session, sale.number)).toMatchObject({
      total: { gross: 15_120 },
      paidBefore: 3000,
      payBy: null,
      given: 13_000,
      address: 'Mill Lane 2\n70123 Ferrol',
      lines: [{ price: 6000 }, { price: 6000 }, { piece: null, gross: 720 }],
    });
    expect(await shown(session, number)).toMatchObject({
      standing: 'handed over',
      toPay: 0,
      sale: { number: sale.number },
    });
    expect(await listOrders(session)).toMatchObject({ ordered: 1, held: 0, owed: 0 });
    expect(problemOf(await payOrder(session, newKey(), number, paying('1 USD'))).fields).toEqual({
      amount: '$1.00 was given; all of it is paid.',
    });
    await expectBooksAgree();
  });

  it('of a shop is taken from its shelf, and its invoice is owed until it is paid; what comes back is not', async () => {
    const { session, channel } = await orderStudio({ kind: 'wholesale', postageAsked: '0 USD' });
    const pieces = [await makeOne(session), await makeOne(session)];
    const [one = 0] = pieces;
    const patterns = await Promise.all(pieces.map((piece) => showPiece(session, piece)));
    const lines = patterns.map((piece) => ({
      ...EMPTY_ORDER_LINE,
      pattern: String(piece?.patternNumber),
      price: '50 USD',
    }));
    const form = orderForm(channel, 0, { lines, payDays: '30', deposit: '' });
    const { number } = done(await writeOrder(session, newKey(), null, form));
    expect(done(await accepted(session, number, '', false))).toEqual({ batch: null });
    const ready = await handOverOf(session, number);
    expect(ready?.typed.pieces.map(({ piece }) => piece)).toEqual(pieces.map((each) => tag('piece', each)));
    expect(ready?.typed.paidBy).toBe('transfer');

    const sale = done(await handOver(session, newKey(), number, { ...ready?.typed, soldOn: '2026-05-02' }));
    expect(await showSale(session, sale.number)).toMatchObject({
      total: { gross: 12_000 },
      payBy: '2026-06-01',
      paidBefore: 0,
    });
    expect(await listOrders(session, { state: 'open' })).toMatchObject({ total: 1, owed: 12_000 });
    done(await payOrder(session, newKey(), number, paying('70 USD', { paidBy: 'transfer' })));
    expect(await shown(session, number)).toMatchObject({
      toPay: 5000,
      payments: [{ kind: 'invoice', amount: 7000 }],
    });
    // One comes back: 60.00 with its tax are not owed any more, so that all is paid.
    done(await takeReturn(session, newKey(), sale.number, returning([one], { soldOn: '2026-05-20' })));
    expect(await shown(session, number)).toMatchObject({ standing: 'handed over', toPay: 0 });
    expect(problemOf(await payOrder(session, newKey(), number, paying('1 USD'))).fields).toHaveProperty(
      'amount',
    );
    expect((await listOrders(session, { state: 'open' })).total).toBe(0);
    await expectBooksAgree();
  });

  it('is changed while it is quoted only, and says beside the field what cannot be', async () => {
    const { session, pattern, channel } = await orderStudio();
    const written = (more: object, base: { number: number; version: number } | null = null) =>
      writeOrder(session, newKey(), base, orderForm(channel, pattern, more));
    const fieldsOf = async (more: object) => problemOf(await written(more)).fields ?? {};
    expect(await fieldsOf({ deposit: '151.21 USD' })).toEqual({
      deposit: '$151.21 was given; all of it comes to $151.20.',
    });
    const line = { ...EMPTY_ORDER_LINE, pattern: String(pattern), price: '60 USD' };
    expect(await fieldsOf({ lines: [{ ...line, pattern: '99' }] })).toHaveProperty(['lines.0.pattern']);
    expect(await fieldsOf({ lines: [{ ...line, price: '60 EUR' }] })).toHaveProperty(['lines.0.price']);
    expect(await fieldsOf({ buyer: '  ' })).toHaveProperty('buyer');
    expect(await fieldsOf({ payDays: '366' })).toHaveProperty('payDays');
    expect(problemOf(await written({ lines: [{ ...line, count: '201' }], deposit: '' })).message).toBe(
      'These lines are 201 pieces; an order holds 200 at most. Write them as several orders.',
    );
    // What was refused took no number.
    const { number } = done(await written({}));
    expect(number).toBe(1);

    const first = await shown(session, number);
    done(await written({ buyer: 'Ines Mar', lines: [line] }, { number, version: first.version }));
    expect(await shown(session, number)).toMatchObject({
      buyer: 'Ines Mar',
      lines: [{ count: 1 }],
      // 66.00 and a fifth.
      total: { gross: 7920 },
    });
    expect(problemOf(await written({}, { number, version: first.version })).kind).toBe('stale');
    const stale = { version: String(first.version), dueOn: '', isMade: false };
    expect(problemOf(await acceptOrder(session, newKey(), number, stale)).kind).toBe('stale');
    expect(problemOf(await payOrder(session, newKey(), number, paying('5 USD'))).message).toBe(
      'Q-0001 is quoted; nothing is paid for it.',
    );
    done(await accepted(session, number, '', false));
    const { version } = await shown(session, number);
    expect(problemOf(await written({}, { number, version })).message).toBe(
      'Q-0001 is ordered; it is not changed any more.',
    );
    expect(problemOf(await accepted(session, number)).message).toMatch(/it is not accepted again/);
  });

  it('is planned in no batch, and stays a quote, when it cannot be made as it is wanted', async () => {
    const { session, pattern, channel } = await orderStudio();
    const lines = [{ ...EMPTY_ORDER_LINE, pattern: String(pattern), price: '60 USD', ring: 'US 7' }];
    const { number } = done(
      await writeOrder(session, newKey(), null, orderForm(channel, pattern, { lines })),
    );
    expect(problemOf(await accepted(session, number)).fields?.['lines.0.ring']).toMatch(
      /does not ask for a ring/,
    );
    expect((await shown(session, number)).standing).toBe('quoted');
  });

  it('of which nothing comes gives back what was paid, or keeps it', async () => {
    const { session, pattern, channel } = await orderStudio();
    const cancelling = (deposit: string) => ({
      ...{ deposit, paidBy: 'transfer', paidOn: '2026-05-03', note: 'they moved away' },
    });
    const order = async () => {
      const { number } = done(await writeOrder(session, newKey(), null, orderForm(channel, pattern)));
      done(await accepted(session, number, '', false));
      done(await payOrder(session, newKey(), number, paying('30 USD')));
      return number;
    };
    const [back, kept] = [await order(), await order()];
    done(await payOrder(session, newKey(), back, paying('10 USD', { way: 'paid back' })));
    expect(
      problemOf(await payOrder(session, newKey(), back, paying('21 USD', { way: 'paid back' }))).fields,
    ).toEqual({ amount: '$21.00 was given; $20.00 was paid for it.' });
    done(await cancelOrder(session, newKey(), back, cancelling('paid back')));
    done(await cancelOrder(session, newKey(), kept, cancelling('kept')));
    const moved = async (number: number) =>
      (await shown(session, number)).payments.map(({ kind, amount }) => [kind, amount]);
    expect(await moved(back)).toEqual([
      ['deposit', 3000],
      ['paid back', -1000],
      ['paid back', -2000],
    ]);
    expect(await moved(kept)).toEqual([
      ['deposit', 3000],
      ['kept', -3000],
    ]);
    expect(problemOf(await cancelOrder(session, newKey(), back, cancelling('kept'))).message).toMatch(
      /it is not cancelled any more/,
    );
    expect(problemOf(await handOver(session, newKey(), kept, selling(channel, []))).fields).toHaveProperty(
      'pieces',
    );
    await expectBooksAgree();
  });

  it('asks that what was paid too much goes back first, and is no invoice when nothing is left to pay', async () => {
    const { session, channel } = await orderStudio({ postageAsked: '0 USD', taxKind: 'none' });
    const piece = await makeOne(session);
    const pattern = (await showPiece(session, piece))?.patternNumber ?? 0;
    const lines = [{ ...EMPTY_ORDER_LINE, pattern: String(pattern), price: '60 USD' }];
    const form = orderForm(channel, pattern, { lines, payDays: '14' });
    const { number } = done(await writeOrder(session, newKey(), null, form));
    done(await accepted(session, number, '', false));
    done(await payOrder(session, newKey(), number, paying('60 USD')));
    expect(
      problemOf(await handOver(session, newKey(), number, selling(channel, [[piece, '45 USD']]))).message,
    ).toBe('$60.00 was paid for it before, and it comes to $45.00. Pay $15.00 back first.');
    done(await payOrder(session, newKey(), number, paying('15 USD', { way: 'paid back' })));
    const sale = done(await handOver(session, newKey(), number, selling(channel, [[piece, '45 USD']])));
    expect(await showSale(session, sale.number)).toMatchObject({ paidBefore: 4500, payBy: null });
    expect(
      problemOf(await payOrder(session, newKey(), number, paying('1 USD', { way: 'paid back' }))).fields,
    ).toHaveProperty('way');
    await expectBooksAgree();
  });

  it('numbers twenty payments at once without a gap, and takes none twice', async () => {
    const { session, pattern, channel } = await orderStudio();
    const { number } = done(await writeOrder(session, newKey(), null, orderForm(channel, pattern)));
    done(await accepted(session, number, '', false));
    const keys = Array.from({ length: 20 }, newKey);
    const answers = await Promise.all(
      [...keys, ...keys.slice(0, 5)].map((key) => payOrder(session, key, number, paying('10 USD'))),
    );
    // 151.20 hold fifteen times 10.00.
    const numbers = new Set(answers.flatMap((answer) => (answer.ok ? [answer.value.number] : [])));
    expect([...numbers].toSorted((a, b) => a - b)).toEqual(
      Array.from({ length: 15 }, (_, index) => index + 1),
    );
    expect(await shown(session, number)).toMatchObject({ paid: 15_000, toPay: 120 });
    await expectBooksAgree();
  });

  it('is found by its number and its buyer, by its owner', async () => {
    const { session, pattern, channel } = await orderStudio();
    done(await writeOrder(session, newKey(), null, orderForm(channel, pattern, { buyer: 'Ottoline Marsh' })));
    const found = async (words: string, who = session) =>
      (await findAnything(who, words)).filter(({ kind }) => kind === 'order');
    const it = { kind: 'order', tag: 'Q-0001', name: 'Ottoline Marsh', href: '/orders/Q-0001' };
    expect(await found('q1')).toEqual([it]);
    expect(await found('MARSH otto')).toEqual([it]);
    expect(await found('marshes')).toEqual([]);
    expect(await found('q1', await addTestHelper(session))).toEqual([]);
  });

  it('is no helper’s business', async () => {
    const { session, pattern, channel } = await orderStudio();
    const { number } = done(await writeOrder(session, newKey(), null, orderForm(channel, pattern)));
    const helper = await addTestHelper(session);
    const forbidden = { kind: 'forbidden' };
    expect(problemOf(await writeOrder(helper, newKey(), null, orderForm(channel, pattern)))).toMatchObject(
      forbidden,
    );
    expect(problemOf(await payOrder(helper, newKey(), number, paying('1 USD')))).toMatchObject(forbidden);
    expect(
      problemOf(await acceptOrder(helper, newKey(), number, { version: '1', dueOn: '', isMade: true })),
    ).toMatchObject(forbidden);
    expect(() => showOrder(helper, number)).toThrow(/owner/);
    expect(() => listOrders(helper)).toThrow(/owner/);
    expect(await orderOfBatch(helper, 1)).toBeNull();
  });
});

describe('the books of orders', () => {
  it('say when what was paid is not what is written down', async () => {
    const { session, pattern, channel } = await orderStudio();
    const { number } = done(await writeOrder(session, newKey(), null, orderForm(channel, pattern)));
    done(await accepted(session, number, '', false));
    done(await payOrder(session, newKey(), number, paying('30 USD')));
    const where = [session.studioId, number] as const;
    await asOwner('UPDATE orders SET paid = paid + 1 WHERE studio_id = $1 AND number = $2', where);
    await expect(expectBooksAgree()).rejects.toThrow(/what was paid for Q-0001/);
    await asOwner('UPDATE orders SET paid = paid - 1 WHERE studio_id = $1 AND number = $2', where);
    await expectBooksAgree();
  });
});
