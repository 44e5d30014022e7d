import type { Day } from '@/core/calendar/day';
import type { Id } from '@/core/id';
import { tag } from '@/core/tag';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Customer } from '@/data/models/selling';
import { readPage, readSums } from '@/data/pages';
import { customerNamesSql, customersList } from '@/data/sql/customers';
import { ordersList } from '@/data/sql/orders';
import { salesList } from '@/data/sql/sales';
import { invalid, refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { CustomerInput, type CustomersQuery } from './customers.input';

/** Somebody who buys, and what they bought by the name on its receipts. */
export interface CustomerListed {
  readonly id: Id<'customer'>;
  readonly name: string;
  readonly contact: string;
  readonly ringSizes: string;
  readonly wishes: string;
  readonly sales: number;
  readonly gross: MinorUnits;
  /** The last day that they bought something, or brought it back; null where they never did. */
  readonly last: Day | null;
}

export interface CustomersPage {
  readonly customers: readonly CustomerListed[];
  readonly total: number;
  readonly next: string | null;
}

/** The ways of sorting them. */
export const CUSTOMER_SORTINGS = customersList.orders;

const PAGE = 40;

/** A word as it is looked for, wherever it stands. */
const within = (word: string): string => `%${word.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`;

/** Who buys, as it is asked for: a page of it. For the owner. */
export function listCustomers(session: StudioSession, query: CustomersQuery = {}): Promise<CustomersPage> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const words = (query.words ?? '').split(/\s+/).filter((word) => word !== '');
    const asked = { words: words.length > 0 ? words.map(within) : undefined };
    const [sums] = await readSums(tx, customersList, {}, asked);
    const { rows, next } = await readPage(tx, customersList, {}, asked, { ...query, size: PAGE });
    return { customers: rows, total: sums?.total ?? 0, next };
  });
}

/** A receipt of somebody. */
interface Bought {
  readonly number: number;
  readonly soldOn: string;
  readonly names: string;
  readonly gross: MinorUnits;
}

/** Somebody who buys, with all that stands about them. */
export interface CustomerShown {
  readonly id: Id<'customer'>;
  readonly name: string;
  readonly contact: string;
  readonly ringSizes: string;
  readonly wishes: string;
  readonly since: Date;
  readonly bought: readonly Bought[];
}

/** The most receipts of somebody that are shown, the latest. */
const MOST_BOUGHT = 200;

async function shown(tx: Tx, customerId: Id<'customer'>): Promise<CustomerShown | null> {
  const row = await tx.one(Customer, ['customerId', 'name', 'contact', 'ringSizes', 'wishes', 'since'], {
    where: { customerId },
  });
  if (!row) return null;
  const { customerId: id, ...customer } = row;
  const asked = { buyerIs: customer.name };
  const { rows } = await readPage(tx, salesList, {}, asked, { size: MOST_BOUGHT });
  const bought = rows.map(({ number, soldOn, names, gross }) => ({ number, soldOn, names, gross }));
  return { id, ...customer, bought };
}

/** Somebody who buys; null when nobody is written down so. For the owner. */
export function showCustomer(
  session: StudioSession,
  customerId: Id<'customer'>,
): Promise<CustomerShown | null> {
  ownerOnly(session);
  return look(session, (tx) => shown(tx, customerId));
}

/** The most names that are proposed for a receipt. */
const MOST_NAMES = 1000;

/** Names of who buys, for the receipt; none for helpers. */
export async function customerNames(session: StudioSession): Promise<readonly string[]> {
  if (session.role !== 'owner') return [];
  return look(session, async (tx) =>
    (await tx.rows(customerNamesSql, { most: MOST_NAMES })).map(({ name }) => name),
  );
}

/** Writes somebody down, or changes what stands about them. */
export const writeCustomer = posts(
  'writeCustomer',
  { input: CustomerInput, by: 'owner' },
  async ({ tx, session, postKey }, input, customerId: Id<'customer'> | null) => {
    const same = await tx.all(Customer, ['customerId', 'name'], {});
    const { name } = input;
    if (same.some((each) => each.customerId !== customerId && each.name.toLowerCase() === name.toLowerCase()))
      throw invalid('name', `“${name}” is written down already; tell them apart by their names.`);
    if (customerId === null) {
      const id: string = postKey;
      await tx.add(Customer, [{ customerId: id, ...input, since: session.now }]);
      return { id };
    }
    if ((await tx.change(Customer, { customerId }, input)) === 0)
      throw refused('Nobody is written down so any more.');
    return { id: customerId };
  },
);

/**
 * Erases what stands about somebody. Receipts keep the name that stands on them: they are not changed.
 */
export const eraseCustomer = acts(
  'eraseCustomer',
  async ({ tx }, customerId: Id<'customer'>) => {
    if ((await tx.remove(Customer, { customerId })) === 0)
      throw refused('Nobody is written down so any more.');
    return null;
  },
  { by: 'owner' },
);

/** All that stands about somebody, to be given to them: plain JSON. Null when nobody is written down so. For the owner. */
export function customerData(
  session: StudioSession,
  customerId: Id<'customer'>,
): Promise<Readonly<Record<string, unknown>> | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const customer = await shown(tx, customerId);
    if (!customer) return null;
    const { name: studio, currency } = await settingsIn(tx);
    const { name, contact, ringSizes, wishes, since, bought } = customer;
    const { rows: ordered } = await readPage(tx, ordersList, {}, { buyerIs: name }, { size: MOST_BOUGHT });
    return {
      studio,
      ...{ name, contact, ringSizes, wishes },
      writtenDown: since.toISOString(),
      orders: ordered.map(({ number, quotedOn, state, names, gross, paid }) => ({
        order: tag('order', number),
        ...{ quotedOn, state, pieces: names, currency },
        comesTo: plainMoney(gross, currency),
        paid: plainMoney(paid, currency),
      })),
      receipts: bought.map(({ number, soldOn, names, gross }) => ({
        receipt: tag('sale', number),
        ...{ soldOn, pieces: names, currency },
        paid: `${gross < 0 ? '-' : ''}${plainMoney(Math.abs(gross) as MinorUnits, currency)}`,
      })),
    };
  });
}
