import { returning, selling, sellingStudio } from '../../../tests/support/selling';
import { addTestHelper, closeBooks, done, newKey } from '../../../tests/support/studio';
import type { StudioSession } from '../kernel/useCase';
import { stockValueOn } from '../ledger/valueOn';
import { sellPieces, takeReturn } from '../selling/sell';
import { showPiece, showShelf } from '../shelf/shelf';
import { turnPieces } from '../shelf/pieceLife';
import { acceptOrder, cancelOrder, handOver, payOrder } from '../orders/orderActs';
import { showOrder } from '../orders/orders';
import { EMPTY_ORDER_LINE } from '../orders/orders.input';
import { writeOrder } from '../orders/writeOrder';
import { ACCOUNT_LISTS } from './accounts';
import { readCsv } from './csv';
import { exportList } from './exportList';

afterAll(closeBooks);

/** The rows of a list that goes out, each by the titles of its columns. */
async function taken(session: StudioSession, id: string): Promise<readonly Record<string, string>[]> {
  const parts: string[] = [];
  for await (const part of exportList(session, id) ?? []) parts.push(part);
  const { header, rows } = readCsv(parts.join(''));
  expect(header).toEqual(ACCOUNT_LISTS.find((each) => each.id === id)?.columns.map(([title]) => title));
  return rows.map((row) => Object.fromEntries(header.map((title, index) => [title, row[index] ?? ''])));
}

const sumOf = (rows: readonly Record<string, string>[], column: string): number =>
  Number(rows.reduce((sum, row) => sum + Number(row[column]), 0).toFixed(6));

/** Three pieces sold in April and May; one of them came back in May, and a fourth is given away. */
async function studioWithSales() {
  const studio = await sellingStudio(5);
  const { session, numbers, channel } = studio;
  const [one = 0, two = 0, three = 0, four = 0] = numbers;
  const sold = done(
    await sellPieces(
      session,
      newKey(),
      selling(
        channel,
        [
          [one, '60 USD'],
          [two, '30 USD'],
        ],
        { soldOn: '2026-04-30', buyer: '=HYPERLINK("x")' },
      ),
    ),
  );
  done(await sellPieces(session, newKey(), selling(channel, [[three, '24 USD']])));
  done(await takeReturn(session, newKey(), sold.number, returning([two])));
  done(await turnPieces(session, newKey(), [four], { turn: 'given', to: '', note: '' }));
  return { ...studio, sold };
}

describe('lists for the accountant', () => {
  it('tell every line of every receipt, what came back as less than nothing, and no buyer as a formula', async () => {
    const { session } = await studioWithSales();
    const rows = await taken(session, 'sales');
    expect(rows.map(({ Receipt, Returns, Gross, Tax }) => [Receipt, Returns, Gross, Tax])).toEqual([
      ['N-0001', '', '60.00', '10.00'],
      ['N-0001', '', '30.00', '5.00'],
      ['N-0002', '', '24.00', '4.00'],
      ['N-0003', 'N-0001', '-30.00', '-5.00'],
    ]);
    expect(rows[0]).toMatchObject({ 'Tax rate': '20', 'Tax is': 'included', Buyer: '=HYPERLINK("x")' });
    const parts: string[] = [];
    for await (const part of exportList(session, 'sales') ?? []) parts.push(part);
    expect(parts.join('')).toContain(`'=HYPERLINK`);
    expect(parts.join('')).toContain(',-30.00,');
  });

  it('tell tax by month and rate, which sums to what the lines do', async () => {
    const { session } = await studioWithSales();
    const [lines, tax] = [await taken(session, 'sales'), await taken(session, 'tax')];
    expect(tax.map(({ Month, Receipts, Tax }) => [Month, Receipts, Tax])).toEqual([
      ['2026-04', '1', '15.00'],
      // 4.00 of what was sold, less 5.00 of what came back.
      ['2026-05', '2', '-1.00'],
    ]);
    for (const column of ['Net', 'Tax', 'Gross']) expect(sumOf(tax, column)).toBe(sumOf(lines, column));
  });

  it('tell the books by month: at its end stock and pieces are what they are, and what was sold is at cost', async () => {
    const { session } = await studioWithSales();
    const [lines, months] = [await taken(session, 'sales'), await taken(session, 'months')];
    for (const [column, of] of [
      ['Sales', 'Net'],
      ['Tax', 'Tax'],
      ['Fees', 'Fees'],
      ['Sending', 'Sending'],
      ['Cost of goods sold', 'Cost'],
    ] as const)
      expect([column, sumOf(months, column)]).toEqual([column, sumOf(lines, of)]);
    const last = months.at(-1);
    const value = await stockValueOn(session);
    expect(Number(last?.['Stock'])).toBeCloseTo(value.total / 100_000, 5);
    expect(Number(last?.['Scrap'])).toBeCloseTo(
      (value.wares.find(({ ware }) => ware === 'scrap')?.cost ?? 0) / 100_000,
      5,
    );
    // Of five pieces alike two are sold and one is given away; two are there.
    const each = Number(lines[0]?.['Cost']);
    expect((await showShelf(session)).total).toBe(2);
    expect(Number(last?.['Pieces'])).toBeCloseTo(2 * each, 5);
    const purchases = await taken(session, 'purchases');
    expect(sumOf(months, 'Purchases')).toBe(sumOf(purchases, 'Price'));
    expect(purchases.length).toBeGreaterThan(0);
  });

  it('tell what was paid for orders, and what of it is held at the end of each month', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const pattern = String((await showPiece(session, one))?.patternNumber);
    const order = async (buyer: string) => {
      const { number } = done(
        await writeOrder(session, newKey(), null, {
          ...{
            channel,
            buyer,
            address: '',
            wishes: '',
            validUntil: '',
            dueOn: '',
            deposit: '',
            payDays: '0',
          },
          lines: [{ ...EMPTY_ORDER_LINE, pattern, price: '60 USD' }],
        }),
      );
      const { version = 0 } = (await showOrder(session, number)) ?? {};
      done(
        await acceptOrder(session, newKey(), number, { version: String(version), dueOn: '', isMade: false }),
      );
      return number;
    };
    const [first, second] = [await order('Ines'), await order('=1+1')];
    const pays = async (number: number, amount: string, paidOn: string, way = 'taken') =>
      done(await payOrder(session, newKey(), number, { way, amount, paidBy: 'cash', paidOn, note: '' }));
    await pays(first, '20 USD', '2026-03-30');
    await pays(second, '15 USD', '2026-04-02');
    await pays(second, '5 USD', '2026-04-03', 'paid back');
    const form = selling(channel, [[one, '60 USD']], { soldOn: '2026-05-02' });
    done(await handOver(session, newKey(), first, form));
    done(
      await cancelOrder(session, newKey(), second, {
        ...{ deposit: 'kept', paidBy: 'cash', paidOn: '2026-06-01', note: 'never came' },
      }),
    );
    const payments = await taken(session, 'payments');
    expect(
      payments.map((row) => [row['Number'], row['Order'], row['Is'], row['Amount'], row['Receipt']]),
    ).toEqual([
      ['M-0001', 'Q-0001', 'deposit', '20.00', 'N-0001'],
      ['M-0002', 'Q-0002', 'deposit', '15.00', ''],
      ['M-0003', 'Q-0002', 'paid back', '-5.00', ''],
      ['M-0004', 'Q-0002', 'kept', '-10.00', ''],
    ]);
    const months = await taken(session, 'months');
    const held = Object.fromEntries(months.map((row) => [row['Month'], row['Deposits']]));
    // 20.00 in March; 10.00 more in April; the first is handed over in May, the second kept in June.
    expect(held).toMatchObject({
      '2026-03': '20.00',
      '2026-04': '30.00',
      '2026-05': '10.00',
      '2026-06': '0.00',
    });
  });

  it('are the owner’s, and empty in a studio that has sold nothing', async () => {
    const { session } = await sellingStudio(0);
    expect(await taken(session, 'sales')).toEqual([]);
    expect(await taken(session, 'tax')).toEqual([]);
    const helper = await addTestHelper(session);
    expect(() => exportList(helper, 'sales')).toThrow();
    expect(new Set(ACCOUNT_LISTS.map(({ id }) => id)).size).toBe(ACCOUNT_LISTS.length);
  });
});
