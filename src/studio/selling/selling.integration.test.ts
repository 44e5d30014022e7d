import { tag } from '@/core/tag';
import { HARBOUR_FAIR, returning, selling, sellingStudio } from '../../../tests/support/selling';
import { differencesIn } from '../../../tests/support/cuttingTable';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  expectBooksAgree,
  makeOne,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import { inStudio } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import type { StudioSession } from '../kernel/useCase';
import { turnPieces, undoTurn } from '../shelf/pieceLife';
import { showPiece, showShelf } from '../shelf/shelf';
import { listChannels, writeChannel } from './channels';
import { forSale, listSales, openChannels, showSale } from './sales';
import { sellPieces, takeReturn } from './sell';

afterAll(closeBooks);

const stateOf = async (session: StudioSession, number: number) => (await showPiece(session, number))?.state;

describe('selling', () => {
  it('takes pieces out of the studio together, with a receipt that says what was paid', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0, three = 0] = numbers;
    const { number } = done(
      await sellPieces(
        session,
        newKey(),
        selling(
          channel,
          [
            [one, '40 USD'],
            [two, '20 USD'],
          ],
          { letGo: 'one price', off: '54 USD', paidBy: 'cash', given: '60 USD', buyer: 'Ines' },
        ),
      ),
    );
    // A sixth of 54.00 is tax. 3 % of it and 0.10 are fees, 0.40 of packing go with each.
    expect(await showSale(session, number)).toMatchObject({
      channel: 'Harbour fair',
      buyer: 'Ines',
      total: { net: 4500, tax: 900, gross: 5400 },
      given: 6000,
      kept: { fees: 172, sending: 80, left: 4248 },
      lines: [
        {
          line: 1,
          piece: { number: one },
          asked: 4000,
          price: 3600,
          gross: 3600,
          tax: 600,
          returnedBy: null,
        },
        {
          line: 2,
          piece: { number: two },
          asked: 2000,
          price: 1800,
          gross: 1800,
          tax: 300,
          returnedBy: null,
        },
      ],
    });
    expect((await showShelf(session)).pieces.map((piece) => piece.number)).toEqual([three]);
    expect(await showPiece(session, one)).toMatchObject({
      state: 'sold',
      life: [{ turn: 'sold', who: 'Ines' }],
    });
    expect(await listSales(session)).toMatchObject({
      total: 1,
      gross: 5400,
      tax: 900,
      left: 4248,
      sales: [{ number, pieces: 2, gross: 5400, left: 4248 }],
    });
    await expectBooksAgree();
  });

  it('is refused where it cannot be, beside the field, and nothing is numbered then', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    const [one = 0, two = 0] = numbers;
    const asked = [[one, '40 USD']] as const;
    const fieldsOf = async (form: object, who = session) =>
      problemOf(await sellPieces(who, newKey(), form)).fields ?? {};
    for (const none of [newKey(), '', 'the mill'])
      expect(await fieldsOf(selling(none, asked))).toEqual({ channel: 'Choose where it is sold.' });
    expect(await fieldsOf(selling(channel, []))).toEqual({ pieces: 'Choose a piece first.' });
    expect(await fieldsOf(selling(channel, [[one, '40 EUR']]))).toHaveProperty(['pieces.0.asked']);
    expect(
      await fieldsOf(
        selling(channel, [
          [one, '40 USD'],
          [one, '40 USD'],
        ]),
      ),
    ).toEqual({ 'pieces.1.piece': `${tag('piece', one)} is in it already.` });
    expect(await fieldsOf(selling(channel, asked, { letGo: 'an amount', off: '41 USD' }))).toEqual({
      off: expect.stringMatching(/41\.00.* was given; the tags say .*40\.00/) as string,
    });
    expect(await fieldsOf(selling(channel, asked, { letGo: 'a part', off: '120' }))).toHaveProperty('off');
    expect(await fieldsOf(selling(channel, asked, { paidBy: 'cash', given: '30 USD' }))).toEqual({
      given: expect.stringMatching(/40\.00.* is to pay, .*10\.00 more/) as string,
    });
    expect(await fieldsOf(selling(channel, asked, { soldOn: '2999-01-01' }))).toHaveProperty('soldOn');
    done(await turnPieces(session, newKey(), [two], { turn: 'given', to: '', note: '' }));
    expect(await fieldsOf(selling(channel, [[two, '10 USD']]))).toEqual({
      'pieces.0.piece': `${tag('piece', two)} is given; it cannot be sold.`,
    });
    done(await writeChannel(session, newKey(), channel, { ...HARBOUR_FAIR, isOpen: false }));
    expect(await fieldsOf(selling(channel, asked))).toEqual({
      channel: 'Nothing is sold in “Harbour fair” any more.',
    });
    done(await writeChannel(session, newKey(), channel, HARBOUR_FAIR));
    // What was refused took no number.
    expect(done(await sellPieces(session, newKey(), selling(channel, asked)))).toEqual({ number: 1 });
    const [another] = await openChannels(await openStudio());
    expect(another).toBeUndefined();
  });

  it('is once however often it is sent, and of two who sell the same piece one does', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const key = newKey();
    const form = selling(channel, [[one, '40 USD']]);
    const answers = await Promise.all([1, 2, 3].map(() => sellPieces(session, key, form)));
    expect(answers.map(done)).toEqual([{ number: 1 }, { number: 1 }, { number: 1 }]);
    const other = await sellPieces(session, newKey(), form);
    expect(problemOf(other).fields).toEqual({
      'pieces.0.piece': `${tag('piece', one)} is sold; it cannot be sold.`,
    });
    expect((await listSales(session)).total).toBe(1);
  });

  it('numbers fifty sales at once without a gap', async () => {
    const { session, channel } = await sellingStudio(0);
    const sold: number[] = [];
    for (let piece = 0; piece < 50; piece += 1) sold.push(await makeOne(session));
    // Every fifth is tried twice: the second is refused, and takes no number with it.
    const tries = [...sold, ...sold.filter((_, index) => index % 5 === 0)];
    const answers = await Promise.all(
      tries.map((piece) => sellPieces(session, newKey(), selling(channel, [[piece, '20 USD']]))),
    );
    const numbers = answers.flatMap((answer) => (answer.ok ? [answer.value.number] : []));
    expect(numbers.toSorted((a, b) => a - b)).toEqual(Array.from({ length: 50 }, (_, index) => index + 1));
    expect(answers.filter(({ ok }) => !ok)).toHaveLength(10);
    await expectBooksAgree();
  });
});

describe('what comes back of a sale', () => {
  it('stands on the shelf again, and is paid back to the minor unit; the sale stays as it is', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0, three = 0] = numbers;
    const asked = numbers.map((piece) => [piece, '10 USD'] as const);
    const { number } = done(
      await sellPieces(session, newKey(), selling(channel, asked, { letGo: 'one price', off: '20 USD' })),
    );
    const before = await showSale(session, number);
    const back = done(await takeReturn(session, newKey(), number, returning([two])));
    expect(back.number).toBe(number + 1);
    // 20.00 for three, of which the last bears what does not divide: 6.67, 6.67, 6.66; a sixth of 6.67 is 1.11.
    const line = before?.lines[1];
    expect(line?.gross).toBe(667);
    expect(await showSale(session, back.number)).toMatchObject({
      returnOf: number,
      note: 'too small',
      total: { gross: -667, tax: 0 - (line?.tax ?? 0) },
      kept: { fees: 0, sending: 0 },
    });
    expect(await stateOf(session, two)).toBe('on the shelf');
    const after = await showSale(session, number);
    expect(after?.total).toEqual(before?.total);
    expect(after?.lines.map(({ returnedBy }) => returnedBy)).toEqual([null, back.number, null]);
    await expectBooksAgree();

    // It is not with the buyer any more, and can be sold again.
    const again = await takeReturn(session, newKey(), number, returning([two]));
    expect(problemOf(again).fields).toEqual({
      'pieces.0.piece': `${tag('piece', two)} is not with the buyer of ${tag('sale', number)}.`,
    });
    const second = done(await sellPieces(session, newKey(), selling(channel, [[two, '9 USD']])));
    expect(problemOf(await takeReturn(session, newKey(), number, returning([two]))).fields).toHaveProperty([
      'pieces.0.piece',
    ]);
    done(await takeReturn(session, newKey(), second.number, returning([two], { keepsFees: false })));
    done(await takeReturn(session, newKey(), number, returning([one, three])));
    expect((await listSales(session)).gross).toBe(0);
    expect((await showShelf(session)).total).toBe(3);
    await expectBooksAgree();
  });

  it('is of a sale, after it, and the owner’s to take', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const { number } = done(await sellPieces(session, newKey(), selling(channel, [[one, '10 USD']])));
    const returned = (more: object, of = number, who = session) =>
      takeReturn(who, newKey(), of, returning([one], more));
    expect(problemOf(await returned({ soldOn: '2026-05-01' })).fields).toHaveProperty('soldOn');
    expect(problemOf(await returned({}, 99)).message).toMatch(/N-0099 is no sale/);
    const helper = await addTestHelper(session);
    expect(problemOf(await returned({}, number, helper)).kind).toBe('forbidden');
    const back = done(await returned({}));
    expect(problemOf(await returned({}, back.number)).message).toMatch(/is no sale/);
  });

  it('is not undone as a turn of the piece: receipts stay as they are', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const { number } = done(await sellPieces(session, newKey(), selling(channel, [[one, '10 USD']])));
    const last = async () => (await showPiece(session, one))?.life.at(-1)?.id ?? 0;
    expect(problemOf(await undoTurn(session, newKey(), one, await last())).message).toMatch(
      /was sold with a receipt, which stays as it is/,
    );
    done(await takeReturn(session, newKey(), number, returning([one])));
    expect(problemOf(await undoTurn(session, newKey(), one, await last())).message).toMatch(
      /was returned with a receipt/,
    );
  });
});

describe('channels', () => {
  it('are changed for what is sold from then on', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    const [one = 0, two = 0] = numbers;
    const first = done(await sellPieces(session, newKey(), selling(channel, [[one, '10 USD']])));
    done(
      await writeChannel(session, newKey(), channel, { ...HARBOUR_FAIR, feePercent: '50', taxKind: 'none' }),
    );
    const second = done(await sellPieces(session, newKey(), selling(channel, [[two, '10 USD']])));
    expect(await showSale(session, first.number)).toMatchObject({
      tax: { kind: 'included' },
      kept: { fees: 40 },
    });
    expect(await showSale(session, second.number)).toMatchObject({
      total: { tax: 0 },
      kept: { fees: 510 },
    });
  });

  it('have a name each, and are the owner’s', async () => {
    const { session, channel } = await sellingStudio(0);
    const written = (form: object, id: string | null = null, who = session) =>
      writeChannel(who, newKey(), id, { ...HARBOUR_FAIR, ...form });
    expect(problemOf(await written({ name: 'HARBOUR fair' })).fields).toHaveProperty('name');
    expect(problemOf(await written({ name: 'Another', feeFixed: '1 EUR' })).fields).toHaveProperty(
      'feeFixed',
    );
    expect(problemOf(await written({ name: 'Another' }, newKey())).message).toMatch(/no such channel/);
    done(await written({ name: 'harbour Fair' }, channel));
    expect((await listChannels(session)).map(({ name }) => name)).toEqual(['harbour Fair']);
    const helper = await addTestHelper(session);
    expect(problemOf(await written({ name: 'Theirs' }, null, helper)).kind).toBe('forbidden');
  });
});

describe('a helper who sells', () => {
  it('sees prices and receipts, and nothing of what the studio pays or keeps', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const helper = await addTestHelper(session);
    expect(await forSale(helper, [one])).toMatchObject([{ number: one, cost: null }]);
    const [terms] = await openChannels(helper);
    expect(terms?.terms).toMatchObject({ feePercent: 0, feeFixed: 0, postage: 0, packing: 0 });
    expect(terms?.terms.tax).toEqual({ kind: 'included', percent: 2000 });
    const { number } = done(await sellPieces(helper, newKey(), selling(channel, [[one, '10 USD']])));
    const seen = await showSale(helper, number);
    expect(seen).toMatchObject({ total: { gross: 1000 }, kept: null, lines: [{ left: null, cost: null }] });
    expect(await listSales(helper)).toMatchObject({ left: null, sales: [{ left: null, earned: null }] });
    // Fees are reckoned all the same.
    expect(await showSale(session, number)).toMatchObject({ kept: { fees: 40, sending: 40 } });
  });
});

describe('the books of what was sold', () => {
  it('agree with a double-entry reckoning of their own', async () => {
    const { session, numbers, channel } = await sellingStudio(6);
    const [one = 0, two = 0, three = 0, four = 0, five = 0] = numbers;
    const rows = await inStudio(session, (tx) =>
      tx.all(Piece, ['number', 'wireCost', 'partsTaken', 'suppliesCost'], {}),
    );
    // What was paid for what is in a piece, in cents; costs are kept in thousandths of one.
    const costs = new Map(
      rows.map((row) => [row.number, (row.wireCost + row.partsTaken + row.suppliesCost) / 1000]),
    );
    /** Plain text accounting: every transaction is postings to accounts that sum to nothing. */
    const accounts = new Map<string, number>();
    const post = (postings: Readonly<Record<string, number>>) => {
      expect(Object.values(postings).reduce((sum, amount) => sum + amount, 0)).toBe(0);
      for (const [account, amount] of Object.entries(postings))
        accounts.set(account, (accounts.get(account) ?? 0) + amount);
    };
    const costOf = (...pieces: number[]) => pieces.reduce((sum, piece) => sum + (costs.get(piece) ?? NaN), 0);
    for (const piece of numbers) post({ goods: costOf(piece), stock: -costOf(piece) });

    const sold = done(
      await sellPieces(
        session,
        newKey(),
        selling(channel, [
          [one, '30 USD'],
          [two, '18 USD'],
        ]),
      ),
    );
    // 48.00 with a sixth of tax; 3 % and 0.10; two boxes.
    post({ money: 4800 - 154 - 80, sales: -4000, tax: -800, fees: 154, sending: 80 });
    post({ 'cost of goods sold': costOf(one, two), goods: -costOf(one, two) });
    done(await sellPieces(session, newKey(), selling(channel, [[three, '12 USD']])));
    post({ money: 1200 - 46 - 40, sales: -1000, tax: -200, fees: 46, sending: 40 });
    post({ 'cost of goods sold': costOf(three), goods: -costOf(three) });
    done(await takeReturn(session, newKey(), sold.number, returning([two])));
    post({ money: -1800, sales: 1500, tax: 300 });
    post({ goods: costOf(two), 'cost of goods sold': -costOf(two) });
    done(await turnPieces(session, newKey(), [four], { turn: 'given', to: '', note: '' }));
    post({ given: costOf(four), goods: -costOf(four) });
    done(await turnPieces(session, newKey(), [five], { turn: 'lost', to: '', note: '' }));
    post({ lost: costOf(five), goods: -costOf(five) });

    const page = await listSales(session);
    expect(page.tax).toBe(-(accounts.get('tax') ?? NaN));
    expect(page.left).toBe(
      -((accounts.get('sales') ?? NaN) + (accounts.get('fees') ?? NaN) + (accounts.get('sending') ?? NaN)),
    );
    expect(page.left).toBe((accounts.get('money') ?? NaN) + (accounts.get('tax') ?? NaN));
    const shown = await Promise.all(page.sales.map(({ number }) => showSale(session, number)));
    const ofSold = shown.reduce((sum, sale) => sum + (sale?.kept?.cost ?? 0), 0);
    expect(Math.round(ofSold / 1000)).toBe(accounts.get('cost of goods sold'));
    const there = (await showShelf(session)).pieces.map(({ number }) => number);
    expect(costOf(...there)).toBe(accounts.get('goods'));
    await expectBooksAgree();
  });

  it('tell of a receipt that was tampered with, or is missing', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    const [one = 0, two = 0] = numbers;
    for (const piece of [one, two])
      done(await sellPieces(session, newKey(), selling(channel, [[piece, '10 USD']])));
    await asOwner('UPDATE sales SET fees = fees + 1 WHERE studio_id = $1 AND number = 1', [session.studioId]);
    expect((await differencesIn(session)).map(({ what }) => what)).toEqual(['N-0001']);
    await asOwner('UPDATE sales SET fees = fees - 1 WHERE studio_id = $1 AND number = 1', [session.studioId]);
    await asOwner('UPDATE sales SET number = 3 WHERE studio_id = $1 AND number = 2', [session.studioId]);
    expect((await differencesIn(session)).map(({ what }) => what)).toEqual(['the numbers of sale']);
    await asOwner('UPDATE sales SET number = 2 WHERE studio_id = $1 AND number = 3', [session.studioId]);
    await asOwner('UPDATE sale_lines SET cost_units = cost_units - 5 WHERE studio_id = $1', [
      session.studioId,
    ]);
    expect((await differencesIn(session)).map(({ what }) => what).toSorted()).toEqual([
      'the piece of a line of N-0001',
      'the piece of a line of N-0002',
    ]);
    await asOwner('UPDATE sale_lines SET cost_units = cost_units + 5 WHERE studio_id = $1', [
      session.studioId,
    ]);
    await asOwner('UPDATE sale_lines SET minutes = minutes + 1 WHERE studio_id = $1', [session.studioId]);
    expect((await differencesIn(session)).map(({ what }) => what).toSorted()).toEqual([
      'what the piece of a line of N-0001 took',
      'what the piece of a line of N-0002 took',
    ]);
    await asOwner('UPDATE sale_lines SET minutes = minutes - 1 WHERE studio_id = $1', [session.studioId]);
  });
});
