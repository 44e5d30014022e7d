import type { Tx } from '@/data/inStudio';
import { StockPiece } from '@/data/models/stock';
import { CONTENT, meltValue } from '@/core/metalPrice/metalPrice';
import { type Micrograms, ug } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { MetalId } from '@/core/wire/metal';
import { randomUUID } from 'node:crypto';
import { type RowOf } from '@/data/sql/statement';
import { Refining } from '@/data/models/metal';
import { refiningsOfSql } from '@/data/sql/stock';
import { posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { Posting } from '../ledger/posting';
import { lastMetalPrices, type KnownPrice } from '../prices/metalPrices';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { lockOne, refuseMoreThan } from '../stock/takeOut';
import { historyOf, type HistoryLine } from '../stock/history';
import { SendForRefiningInput } from './jars.input';

/** The scrap of one metal. Amounts are null for helpers. */
export interface Jar {
  readonly number: number;
  readonly metal: MetalId;
  readonly mass: Micrograms;
  readonly cost: CostUnits | null;
  /** At the last price known; null where the metal has none. */
  readonly melt: MinorUnits | null;
  readonly price: KnownPrice | null;
}

/** The jars of the studio, in the order of the metals. */
const jarRows = (tx: Tx, where: { readonly number?: number } = {}) =>
  tx.allWith(
    StockPiece,
    ['stockPieceId', 'number', 'quantity', 'costUnits'],
    { article: ['identity'] },
    { where: { ware: 'scrap', ...where }, order: [['article', 'sortKey', 'ASC']] },
  );

type JarRow = Awaited<ReturnType<typeof jarRows>>[number];

function jarFrom(
  { number, quantity, costUnits: cost, article }: JarRow,
  prices: readonly KnownPrice[],
  sees: boolean,
): Jar {
  const metal = article.identity as MetalId;
  const mass = ug(quantity);
  const price = prices.find((each) => each.metal === CONTENT[metal]?.metal) ?? null;
  return {
    number,
    metal,
    mass,
    cost: sees ? cost : null,
    melt: sees ? (meltValue(metal, mass, price?.perKilogram) ?? null) : null,
    price: sees ? price : null,
  };
}

/** All jars, in the order of the metals. */
export function showJars(session: StudioSession): Promise<Jar[]> {
  return look(session, async (tx) => {
    const rows = await jarRows(tx);
    const prices = await lastMetalPrices(tx);
    return rows.map((row) => jarFrom(row, prices, session.role === 'owner'));
  });
}

/** Scrap that was sent to a refiner. */
export type RefiningView = RowOf<typeof refiningsOfSql>;

/** One jar with what fell in and what was sent off; null when there is none. */
export function showJar(
  session: StudioSession,
  number: number,
): Promise<
  (Jar & { readonly history: readonly HistoryLine[]; readonly refinings: readonly RefiningView[] }) | null
> {
  return look(session, async (tx) => {
    const [row] = await jarRows(tx, { number });
    if (!row) return null;
    const sees = session.role === 'owner';
    const refinings = await tx.rows(refiningsOfSql, { stockPieceId: row.stockPieceId });
    return {
      ...jarFrom(row, await lastMetalPrices(tx), sees),
      history: await historyOf(tx, row.stockPieceId),
      refinings: sees ? refinings : [],
    };
  });
}

/** Sends scrap off: it leaves its jar with its share of what it cost, and what came back for it is kept beside that. */
export const sendForRefining = posts(
  'sendForRefining',
  { input: SendForRefiningInput, by: 'owner' },
  async ({ tx, postKey }, input, number: number) => {
    const { currency, lengthSystem } = await settingsIn(tx);
    const proceeds = inCurrency('proceeds', input.proceeds, currency);
    const jar = await lockOne(tx, 'scrap', number);
    const { mass, refiner } = input;
    refuseMoreThan('mass', mass, jar, { ware: 'scrap' }, lengthSystem);
    const posting = new Posting(tx, postKey).hold(jar);
    posting.take(jar.id, 'refined', mass, { reason: `to ${refiner}` });
    await posting.commit();
    await tx.add(Refining, [
      {
        refiningId: randomUUID(),
        postKey,
        stockPieceId: jar.id,
        sentOn: input.sentOn,
        refiner,
        massUg: mass,
        proceeds,
      },
    ]);
    return null;
  },
);
