import { randomUUID } from 'node:crypto';
import { daysLater } from '@/core/calendar/day';
import { costAt } from '@/core/costing/unitPrice';
import type { Id } from '@/core/id';
import { isInStock } from '@/core/selling/life';
import { reviewPrices, type PriceProposal, type ShelvedPiece } from '@/core/selling/review';
import { asToday, type CostedPiece, type OfToday, type Supposed } from '@/core/selling/whatIf';
import { tag } from '@/core/tag';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import type { MetalId } from '@/core/wire/metal';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { Scenario } from '@/data/models/selling';
import { patternsSoldSql, shelvedPiecesSql, soldPiecesSql, unpricedSql } from '@/data/sql/costedPieces';
import type { RowOf } from '@/data/sql/statement';
import { specsById } from '../catalogue/wireSpecs';
import { invalid, refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { replacementPrices } from '../prices/replacement';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { RepriceInput, ScenarioInput } from './pricesNow.input';

/** The most pieces that are looked at, on the shelf and of those sold: the youngest and the latest. */
const MOST_LOOKED = 5000;
/** What was sold in so many months tells what a month sells. */
const MONTHS = 12;
const DAYS = 365;

/** A piece on the shelf with what it takes today. */
export interface PricedToday extends ShelvedPiece {
  readonly name: string;
}

/** What prices are looked at by: the shelf and what was sold, at today’s prices. */
export interface PricesNow {
  readonly today: OfToday;
  readonly shelf: readonly PricedToday[];
  /** Pieces that are to be had and have no price yet. */
  readonly unpriced: number;
  readonly sold: readonly CostedPiece[];
  /** Over how many months. */
  readonly months: number;
  readonly proposals: readonly PriceProposal[];
}

type Taken = RowOf<typeof soldPiecesSql>;

/** What pieces take at today’s prices: their wire by its metal, and with it as much as was lost of it then. */
async function costedToday<Row extends Taken>(
  tx: Tx,
  rows: readonly Row[],
): Promise<(row: Row) => CostedPiece> {
  const articles = [...new Set(rows.flatMap((row) => row.articles))];
  const prices = await replacementPrices(tx, articles);
  const specs = await specsById(tx, articles);
  return ({
    number,
    minutes,
    price,
    wireThen,
    lostThen,
    parts,
    stones,
    supplies,
    articles: wires,
    lengths,
  }) => {
    const wire: Partial<Record<MetalId, CostUnits>> = {};
    const lost = wireThen > 0 ? 1 + lostThen / wireThen : 1;
    let known = false;
    for (const [index, articleId] of wires.entries()) {
      const [today, spec] = [prices.get(articleId), specs.get(articleId)];
      if (!today || !spec) continue;
      known = true;
      const paid = cost(Math.round(costAt(today, Math.round(lengths[index] ?? 0)) * lost));
      wire[spec.metal] = sumCosts([wire[spec.metal] ?? cost(0), paid]);
    }
    // Of what nobody knows the metal, what it was worth then stands.
    const unknown = known ? cost(0) : sumCosts([wireThen, lostThen]);
    const rest = cost(Math.max(0, parts - stones) + supplies + unknown);
    return { number, wire, stones, rest, minutes, price };
  };
}

/** All that prices are looked at by. For the owner. */
export function pricesNow(session: StudioSession): Promise<PricesNow> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const day = todayOf(session);
    const since = daysLater(day, -DAYS);
    const settings = await settingsIn(tx);
    const shelved = await tx.rows(shelvedPiecesSql, { today: day, most: MOST_LOOKED });
    const gone = await tx.rows(soldPiecesSql, { since, most: MOST_LOOKED });
    const [{ unpriced } = { unpriced: 0 }] = await tx.rows(unpricedSql, {});
    const costed = await costedToday(tx, [...shelved, ...gone]);
    const shelf = shelved.map((row) => {
      const { name, pattern, days } = row;
      return { ...costed(row), name, pattern, days };
    });
    const { hourlyRate, overheadPerHour, feePercent, feeFixed, taxPercent, taxIncluded } = settings;
    const { endings, rounding, places } = settings;
    const today: OfToday = {
      ...{ hourlyRate, overheadPerHour, feePercent, feeFixed, taxPercent, taxIncluded },
      ...{ endings, rounding, places },
    };
    return {
      today,
      shelf,
      unpriced,
      sold: gone.map(costed),
      months: MONTHS,
      proposals: reviewPrices(shelf, await tx.rows(patternsSoldSql, { since }), today),
    };
  });
}

/**
 * Changes prices together: all or none. A piece whose price is another by now, or that is not to be had any more, is told, and nothing is changed.
 */
export const reprice = posts('reprice', { input: RepriceInput, by: 'owner' }, async ({ tx }, { pieces }) => {
  const { currency } = await settingsIn(tx);
  const numbers = pieces.map(({ piece }) => piece);
  const rows = await tx.all(Piece, ['pieceId', 'number', 'state', 'price', 'version'], {
    where: { number: numbers, struckAt: null, drawerStockId: null },
    order: ['number'],
    lock: true,
  });
  const found = new Map(rows.map((row) => [row.number, row]));
  for (const [index, { piece, from, price }] of pieces.entries()) {
    const row = found.get(piece);
    const at = `pieces.${index}`;
    if (!row || !isInStock(row.state))
      throw invalid(`${at}.piece`, `${tag('piece', piece)} is not to be had any more.`);
    if (numbers.indexOf(piece) !== index)
      throw invalid(`${at}.piece`, `${tag('piece', piece)} is in it already.`);
    if (row.price !== inCurrency(`${at}.from`, from, currency))
      throw invalid(`${at}.price`, `${tag('piece', piece)} has another price by now; reload the page.`);
    const asked = inCurrency(`${at}.price`, price, currency);
    const { pieceId, version } = row;
    await tx.change(
      Piece,
      { pieceId },
      { school: 'market', goingPrice: asked, price: asked, version: version + 1 },
    );
  }
  return { changed: pieces.length };
});

/** What somebody supposed, by its name. */
export interface KeptScenario {
  readonly id: Id<'scenario'>;
  readonly name: string;
  readonly supposed: Supposed;
}

const MOST_SCENARIOS = 50;

/** What was supposed before, the latest first. For the owner. */
export function listScenarios(session: StudioSession): Promise<readonly KeptScenario[]> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const rows = await tx.all(Scenario, ['scenarioId', 'name', 'supposed'], {
      order: [['keptAt', 'DESC']],
      limit: MOST_SCENARIOS,
    });
    return rows.map(({ scenarioId: id, ...scenario }) => ({ id, ...scenario }));
  });
}

/** Keeps what somebody supposes. */
export const keepScenario = posts(
  'keepScenario',
  { input: ScenarioInput, by: 'owner' },
  async ({ tx, session }, { name, metals, hourlyRate, overheadPerHour, ...parts }) => {
    const settings = await settingsIn(tx);
    if ((await tx.all(Scenario, ['scenarioId'], {})).length >= MOST_SCENARIOS)
      throw refused(`${MOST_SCENARIOS} are kept already; let go of one first.`);
    const supposed: Supposed = {
      ...parts,
      metals: {
        ...asToday(settings).metals,
        ...Object.fromEntries(metals.map(({ metal, part }) => [metal, part])),
      },
      hourlyRate: inCurrency('hourlyRate', hourlyRate, settings.currency),
      overheadPerHour: inCurrency('overheadPerHour', overheadPerHour, settings.currency),
    };
    const { userId, now: keptAt } = session;
    await tx.add(Scenario, [{ scenarioId: randomUUID(), name, supposed, userId, keptAt }]);
    return null;
  },
);

/** Lets go of something that was supposed. */
export const dropScenario = acts(
  'dropScenario',
  async ({ tx }, scenarioId: Id<'scenario'>) => {
    await tx.remove(Scenario, { scenarioId });
    return null;
  },
  { by: 'owner' },
);
