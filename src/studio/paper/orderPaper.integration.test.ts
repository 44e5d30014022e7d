import { readPdf, textsIn } from '../../../tests/support/readPdf';
import { composedFrame } from '../../../tests/support/batches';
import { HARBOUR_FAIR } from '../../../tests/support/selling';
import {
  addTestHelper,
  closeBooks,
  done,
  makeOne,
  newKey,
  openStudio,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import type { StudioSession } from '../kernel/useCase';
import { acceptOrder, payOrder } from '../orders/orderActs';
import { showOrder, showPayment, type OrderShown } from '../orders/orders';
import { EMPTY_ORDER_LINE } from '../orders/orders.input';
import { writeOrder } from '../orders/writeOrder';
import { listChannels, writeChannel } from '../selling/channels';
import { pricePiece } from '../shelf/shelf';
import { showPiece } from '../shelf/shelf';
import { lineSheetOf, lineSheetPaper } from './lineSheet';
import { orderPaper, orderPaperOf, paymentPaper, paymentPaperOf } from './orderPaper';
import { paperFile } from './paperFile';

afterAll(closeBooks);

async function channelOf(session: StudioSession, more: object): Promise<string> {
  done(await writeChannel(session, newKey(), null, { ...HARBOUR_FAIR, ...more }));
  return (await listChannels(session))[0]?.id ?? '';
}

const shown = async (session: StudioSession, number: number): Promise<OrderShown> => {
  const order = await showOrder(session, number);
  if (!order) throw new Error('it is there');
  return order;
};

/** A quote of two pieces by hand and a frame in another metal; a fifth of tax is in its prices, sending costs 6.00. */
async function quoted() {
  const session = await openStudio();
  await receive(session);
  const { number: pattern } = await simplePattern(session);
  const frame = await composedFrame(session);
  await receive(session, { metal: 'brass', gaugeNumber: '20' });
  const channel = await channelOf(session, { name: 'To order', postageAsked: '6 USD' });
  const { number } = done(
    await writeOrder(session, newKey(), null, {
      channel,
      buyer: 'Ines',
      address: 'Mill Lane 2\n70123 Ferrol',
      wishes: 'longer than the one at the fair',
      validUntil: '2027-01-31',
      dueOn: '2027-02-14',
      deposit: '30 USD',
      payDays: '14',
      lines: [
        { ...EMPTY_ORDER_LINE, pattern: String(pattern), count: '2', price: '12.50 USD' },
        { ...EMPTY_ORDER_LINE, pattern: String(frame), price: '89 USD' },
      ],
    }),
  );
  return { session, number };
}

describe('the paper of an order', () => {
  it('is a quote: what is asked for, how long it holds, what is paid before and when the rest is', async () => {
    const { session, number } = await quoted();
    const order = await shown(session, number);
    const paper = orderPaperOf(order);
    expect(paper).toMatchObject({
      title: 'Quote Q-0001',
      heads: ['Each', 'Together'],
      lines: [
        { what: expect.stringMatching(/^2 × /) as string, asked: '$12.50', price: '$25.00' },
        { what: 'Weir drop', price: '$89.00' },
        { what: 'Sending', price: '$6.00' },
      ],
      // 25.00 + 89.00 + 6.00; a sixth of it is tax.
      sums: [
        { label: 'To pay together', amount: '$120.00', bold: true },
        { label: 'with 20 % of tax in it', amount: '$20.00' },
      ],
    });
    expect(paper.under.slice(1)).toEqual(['For Ines', 'Mill Lane 2', '70123 Ferrol']);
    expect(paper.foot).toEqual([
      'As wished: longer than the one at the fair',
      'These prices hold until 31 Jan 2027.',
      'It is promised for 14 Feb 2027.',
      '$30.00 of it is asked before it is begun.',
      'The rest is paid within 14 days of its being handed over.',
    ]);
    // What it costs to make, and what is left of it, is the studio’s own.
    expect(JSON.stringify(paper)).not.toMatch(/cost|left|earn/i);
  });

  it('shows how each piece looks, in colour', async () => {
    const { session, number } = await quoted();
    const pages = await orderPaper(session, await shown(session, number));
    expect(pages).toHaveLength(2);
    const colours = new Set(
      (pages[1]?.shapes ?? []).flatMap((shape) => (shape.kind === 'path' ? [shape.colour] : [])),
    );
    expect(colours.size).toBeGreaterThan(2);
    const said = textsIn(readPdf((await paperFile(pages, 'pdf', 'Quote')).content as Uint8Array));
    expect(said.filter((each) => each === 'Quote Q-0001')).toHaveLength(2);
    expect(said).toEqual(expect.arrayContaining(['Weir drop', '$89.00', '$120.00']));
  });

  it('is an order once it is accepted, with what was paid; that has a receipt of its own', async () => {
    const { session, number } = await quoted();
    const { version } = await shown(session, number);
    done(
      await acceptOrder(session, newKey(), number, {
        ...{ version: String(version), dueOn: '2027-02-14', isMade: false },
      }),
    );
    const paid = { way: 'taken', amount: '30 USD', paidBy: 'card', paidOn: '2026-05-02', note: 'between us' };
    done(await payOrder(session, newKey(), number, paid));
    const order = await shown(session, number);
    const paper = orderPaperOf(order);
    expect(paper.title).toBe('Order Q-0001');
    expect(paper.sums.slice(-2)).toEqual([
      { label: 'Paid', amount: '−$30.00' },
      { label: 'Still to pay', amount: '$90.00', bold: true },
    ]);
    expect(paper.foot?.join(' ')).not.toMatch(/hold until|before it is begun/);

    const found = await showPayment(session, 1);
    if (!found) throw new Error('it is paid');
    expect(paymentPaperOf(found.order, found.payment)).toMatchObject({
      title: 'Paid before M-0001',
      lines: [{ what: 'Order Q-0001', price: '$30.00' }],
      sums: [{ label: 'Paid by card', amount: '$30.00' }],
    });
    const pdf = await paperFile(paymentPaper(found.order, found.payment), 'pdf', 'M-0001');
    expect(textsIn(readPdf(pdf.content as Uint8Array)).join(' ')).not.toContain('between us');
    expect(await showPayment(session, 2)).toBeNull();
    const helper = await addTestHelper(session);
    await expect(async () => showPayment(helper, 1)).rejects.toThrow(/owner/);
  });
});

describe('the line sheet', () => {
  it('asks what the channel makes of the last price on a tag, and says where there is none', async () => {
    const session = await openStudio();
    const piece = await makeOne(session);
    const pattern = (await showPiece(session, piece))?.patternNumber ?? 0;
    const going = { version: '1', school: 'market', goingPrice: '41.00 USD' };
    done(await pricePiece(session, newKey(), piece, going));
    const tagged = (await showPiece(session, piece))?.money?.price ?? 0;
    const { number: unpriced } = await simplePattern(session);
    const channel = await channelOf(session, {
      ...{ kind: 'wholesale', name: 'Shops that buy', pricePercent: '50', endings: [] },
    });
    const asked = {
      channel,
      patterns: [unpriced, pattern, pattern, 999],
      terms: 'Ten or more.\n\nIn four weeks.',
    };
    const made = await lineSheetOf(session, asked);
    if (!made) throw new Error('it is made');
    const { title, pieces, terms } = made.sheet;
    expect(title).toBe('Shops that buy');
    expect(terms).toEqual(['Ten or more.', 'In four weeks.']);
    const half = `$${(Math.round(tagged / 2) / 100).toFixed(2)}`;
    expect(pieces.map(({ price, retail }) => [price, retail])).toEqual([
      ['on request', ''],
      [half, `tag $${(tagged / 100).toFixed(2)}`],
    ]);
    const said = textsIn(
      readPdf((await paperFile(lineSheetPaper(made), 'pdf', title)).content as Uint8Array),
    );
    expect(said).toEqual(expect.arrayContaining(['Shops that buy', half, 'Ten or more.']));
    expect(await lineSheetOf(session, { ...asked, channel: newKey() })).toBeNull();
    const helper = await addTestHelper(session);
    await expect(async () => lineSheetOf(helper, asked)).rejects.toThrow(/owner/);
  });
});
