import { randomUUID } from 'node:crypto';
import { daysLater } from '@/core/calendar/day';
import type { Id } from '@/core/id';
import { isInStock } from '@/core/selling/life';
import { reviewPrices, type PriceProposal, type ShelvedPiece } from '@/core/selling/review';
import { asToday, type CostedPiece, type Supposed } from '@/core/selling/whatIf';
import { tag } from '@/core/tag';
import type { MinorUnits } from '@/core/units/money';
import { Piece } from '@/data/models/making';
import { Scenario } from '@/data/models/selling';
import {
  patternsSoldSql,
  shelvedPiecesSql,
  soldPiecesSql,
  traySql,
  unpricedSql,
} from '@/data/sql/costedPieces';
import { invalid, refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { inCurrency } from '../settings/inCurrency';
import { pricingRules, settingsIn, type PricingRules } from '../settings/settings';
import { costedToday } from './costedToday';
import { patternsToday, type PatternsToday } from './patternsToday';
import { MOST_REPRICED, RepriceInput, ScenarioInput } from './pricesNow.input';

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
export interface PricesNow extends PatternsToday {
  readonly today: PricingRules;
  readonly shelf: readonly PricedToday[];
  /** Pieces that are to be had and have no price yet. */
  readonly unpriced: number;
  readonly sold: readonly CostedPiece[];
  /** Over how many months. */
  readonly months: number;
  readonly proposals: readonly PriceProposal[];
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
      const { name, price, days } = row;
      return { ...costed(row), price, name, days };
    });
    const today = pricingRules(settings);
    return {
      today,
      shelf,
      unpriced,
      sold: gone.map((row) => ({ ...costed(row), price: row.price })),
      months: MONTHS,
      ...(await patternsToday(tx, settings)),
      proposals: reviewPrices(shelf, await tx.rows(patternsSoldSql, { since }), today),
    };
  });
}

/** A piece that is priced with others; null where it has no price yet. */
export interface PieceOfTray extends Omit<CostedPiece, 'price'> {
  readonly name: string;
  readonly price: MinorUnits | null;
}

/** Pieces that are to be priced together, at what they take today. */
export interface TrayNow {
  readonly today: PricingRules;
  readonly pieces: readonly PieceOfTray[];
}

/** Pieces of some numbers as they are priced together, by pattern; those that are not to be had are left out. For the owner. */
export function trayNow(session: StudioSession, numbers: readonly number[]): Promise<TrayNow> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const rows = await tx.rows(traySql, { numbers: numbers.slice(0, MOST_REPRICED) });
    const costed = await costedToday(tx, rows);
    return {
      today: pricingRules(await settingsIn(tx)),
      pieces: rows.map((row) => {
        const { name, price } = row;
        return { ...costed(row), name, price };
      }),
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
    if (row.price !== (from && inCurrency(`${at}.from`, from, currency)))
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
  async ({ tx, session }, { name, metals, step, stepPart, hourlyRate, overheadPerHour, ...parts }) => {
    const settings = await settingsIn(tx);
    if ((await tx.all(Scenario, ['scenarioId'], {})).length >= MOST_SCENARIOS)
      throw refused(`${MOST_SCENARIOS} are kept already; let go of one first.`);
    const supposed: Supposed = {
      ...parts,
      step: step === '' ? null : { name: step, part: stepPart },
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
