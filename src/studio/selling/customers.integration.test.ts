import { returning, selling, sellingStudio } from '../../../tests/support/selling';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import {
  customerData,
  customerNames,
  eraseCustomer,
  listCustomers,
  showCustomer,
  writeCustomer,
} from './customers';
import { readCsv } from '../lists/csv';
import { exportList } from '../lists/exportList';
import { todayOf } from '../kernel/useCase';
import { showSale } from './sales';
import { sellPieces, takeReturn } from './sell';

afterAll(closeBooks);

const INES = { name: 'Ines', contact: 'calls on Sundays', ringSizes: 'US 6', wishes: 'garnet' };
const somebody = (name: string, more: object = {}) => ({
  contact: '',
  ringSizes: '',
  wishes: '',
  name,
  ...more,
});

describe('who buys', () => {
  it('is written down once by a name, changed, and found by any of what stands there', async () => {
    const { session } = await sellingStudio(0);
    const key = newKey();
    const { id } = done(await writeCustomer(session, key, null, INES));
    expect(done(await writeCustomer(session, key, null, INES))).toEqual({ id });
    done(await writeCustomer(session, newKey(), null, somebody('Bram')));
    expect(problemOf(await writeCustomer(session, newKey(), null, somebody('INES'))).fields).toEqual({
      name: '“INES” is written down already; tell them apart by their names.',
    });
    expect(problemOf(await writeCustomer(session, newKey(), null, somebody(' '))).fields).toHaveProperty(
      'name',
    );
    expect(problemOf(await writeCustomer(session, newKey(), newKey(), somebody('Cleo'))).kind).toBe(
      'refused',
    );
    done(await writeCustomer(session, newKey(), id, { ...INES, wishes: '100 % copper_wire' }));
    const names = async (words: string) =>
      (await listCustomers(session, { words })).customers.map(({ name }) => name);
    expect((await listCustomers(session)).customers.map(({ name }) => name)).toEqual(['Bram', 'Ines']);
    expect(await names('us 6')).toEqual(['Ines']);
    expect(await names('copper_w')).toEqual(['Ines']);
    // Signs that mean something to a pattern mean nothing here.
    expect(await names('c%r')).toEqual([]);
    expect(await names('bram ines')).toEqual([]);
  });

  it('has what they bought, by the name on its receipts', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0, three = 0] = numbers;
    const { id } = done(await writeCustomer(session, newKey(), null, INES));
    const sell = (piece: number, price: string, buyer: string) =>
      sellPieces(session, newKey(), selling(channel, [[piece, price]], { buyer }));
    const first = done(await sell(one, '30 USD', 'ines'));
    const second = done(await sell(two, '20 USD', 'Ines'));
    done(await sell(three, '10 USD', 'Ines the elder'));
    done(await takeReturn(session, newKey(), second.number, returning([two])));
    const shown = await showCustomer(session, id);
    expect(shown?.bought.map(({ number, gross }) => [number, gross])).toEqual([
      [4, -2000],
      [2, 2000],
      [first.number, 3000],
    ]);
    expect((await listCustomers(session)).customers).toMatchObject([
      { name: 'Ines', sales: 2, gross: 3000, last: '2026-05-09' },
    ]);
  });

  it('is given all that stands about them, and erased; receipts stay as they are', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const { id } = done(await writeCustomer(session, newKey(), null, INES));
    const sale = done(
      await sellPieces(session, newKey(), selling(channel, [[one, '30.50 USD']], { buyer: 'Ines' })),
    );
    expect(await customerData(session, id)).toMatchObject({
      ...INES,
      receipts: [{ receipt: 'N-0001', soldOn: '2026-05-02', paid: '30.50', currency: 'USD' }],
    });
    done(await eraseCustomer(session, newKey(), id));
    expect(problemOf(await eraseCustomer(session, newKey(), id)).kind).toBe('refused');
    expect(await showCustomer(session, id)).toBeNull();
    expect(await customerData(session, id)).toBeNull();
    expect((await showSale(session, sale.number))?.buyer).toBe('Ines');
    // The name is free again.
    done(await writeCustomer(session, newKey(), null, INES));
  });

  it('goes out as a list of all, each with the receipts in their name', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    done(await writeCustomer(session, newKey(), null, INES));
    done(await writeCustomer(session, newKey(), null, somebody('Bram', { wishes: '=SUM(A1)' })));
    for (const piece of numbers)
      done(await sellPieces(session, newKey(), selling(channel, [[piece, '30 USD']], { buyer: 'INES' })));
    const parts: string[] = [];
    for await (const part of exportList(session, 'customers') ?? []) parts.push(part);
    const { header, rows } = readCsv(parts.join(''));
    expect(header).toEqual(['Name', 'Contact', 'Ring sizes', 'Wishes', 'Since', 'Receipts', 'Last']);
    const today = todayOf(session);
    expect(rows).toEqual([
      ['Bram', '', '', '=SUM(A1)', today, '0', ''],
      ['Ines', 'calls on Sundays', 'US 6', 'garnet', today, '2', '2026-05-02'],
    ]);
    // A spreadsheet shall not reckon with what somebody wished for.
    expect(parts.join('')).toContain(`'=SUM(A1)`);
    const helper = await addTestHelper(session);
    expect(() => exportList(helper, 'customers')).toThrow();
  });

  it('is the owner’s to know, and of one studio', async () => {
    const { session } = await sellingStudio(0);
    const { id } = done(await writeCustomer(session, newKey(), null, INES));
    const helper = await addTestHelper(session);
    await expect(async () => listCustomers(helper)).rejects.toThrow();
    await expect(async () => showCustomer(helper, id)).rejects.toThrow();
    await expect(async () => customerData(helper, id)).rejects.toThrow();
    expect(problemOf(await writeCustomer(helper, newKey(), null, somebody('Cleo'))).kind).toBe('forbidden');
    expect(problemOf(await eraseCustomer(helper, newKey(), id)).kind).toBe('forbidden');
    expect(await customerNames(helper)).toEqual([]);
    expect(await customerNames(session)).toEqual(['Ines']);
    expect(await showCustomer(await openStudio(), id)).toBeNull();
  });
});
