import type { Id } from '@/core/id';
import type { SaleTyped } from '@/core/selling/stall';
import type { Tx } from '@/data/inStudio';
import { UnsettledSale } from '@/data/models/selling';
import { refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { enterReady, readySale, type Entered } from './sell';
import { SellInput } from './sell.input';
import { NoSaleInput } from './unsettled.input';

/** A sale that was made at a stall, and that could not be entered as it was told. */
export interface Unsettled {
  readonly id: Id<'stall sale'>;
  readonly madeAt: Date;
  readonly by: string;
  readonly typed: SaleTyped;
  readonly why: string;
}

const read = async (tx: Tx, where: { readonly stallSaleId?: Id<'stall sale'> }): Promise<Unsettled[]> => {
  const rows = await tx.allWith(
    UnsettledSale,
    ['stallSaleId', 'madeAt', 'typed', 'why'],
    { user: ['name'] },
    { where: { ...where, settledAt: null }, order: ['madeAt', 'stallSaleId'] },
  );
  return rows.map(({ stallSaleId: id, user, ...sale }) => ({ id, by: user.name, ...sale }));
};

/** Those that nobody has settled, the oldest first. */
export const listUnsettled = (session: StudioSession): Promise<readonly Unsettled[]> =>
  look(session, (tx) => read(tx, {}));

/** One of them; undefined when it is settled, or was never there. */
export const showUnsettled = (
  session: StudioSession,
  stallSaleId: Id<'stall sale'>,
): Promise<Unsettled | undefined> => look(session, async (tx) => (await read(tx, { stallSaleId })).at(0));

/** @throws Refused when it is settled already */
async function toSettle(tx: Tx, stallSaleId: Id<'stall sale'>): Promise<void> {
  const row = await tx.one(UnsettledSale, ['settledAt'], { where: { stallSaleId }, lock: true });
  if (row?.settledAt !== null) throw refused('Somebody has settled this sale already.');
}

/** A sale is entered as it really was. */
export const settleSale = posts(
  'settleSale',
  { input: SellInput },
  async (posted, input, stallSaleId: Id<'stall sale'>): Promise<Entered> => {
    const { tx, session } = posted;
    await toSettle(tx, stallSaleId);
    const { number, saleId } = await enterReady(posted, input, await readySale(tx, input));
    const settled = { settledAt: session.now, settledBy: session.userId, saleId };
    await tx.change(UnsettledSale, { stallSaleId }, settled);
    return { number };
  },
);

/** What was told was no sale: it was told twice, or nobody bought anything. */
export const sayNoSale = posts(
  'sayNoSale',
  { input: NoSaleInput, by: 'owner' },
  async ({ tx, session }, { note }, stallSaleId: Id<'stall sale'>) => {
    await toSettle(tx, stallSaleId);
    await tx.change(
      UnsettledSale,
      { stallSaleId },
      { settledAt: session.now, settledBy: session.userId, note },
    );
    return null;
  },
);
