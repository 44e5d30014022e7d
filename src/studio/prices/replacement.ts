import type { Id } from '@/core/id';
import { otherThan } from '@/data/conditions';
import { dayIn, type Day } from '@/core/calendar/day';
import { Lot } from '@/data/models/purchases';
import { costAt, type PriceFor } from '@/core/costing/unitPrice';
import { priceUnit } from '@/core/stock/priceUnit';
import { CONTENT, spotCost } from '@/core/metalPrice/metalPrice';
import { formatAmountOf, parseAmountOf } from '@/core/stock/amount';
import type { Ware } from '@/core/stock/ware';
import { um, UM_PER_METRE } from '@/core/units/length';
import { cost, COST_UNITS_PER_MINOR, type CostUnits, type MinorUnits } from '@/core/units/money';
import { metalOf } from '@/core/wire/metal';
import { type RowOf } from '@/data/sql/statement';
import { type Tx, zoneOf } from '@/data/inStudio';
import { TypedPrice } from '@/data/models/metal';
import { Article } from '@/data/models/articles';
import { pricesOfArticlesSql } from '@/data/sql/prices';
import { invalid, refused, stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import { lastMetalPrices, type KnownPrice } from './metalPrices';
import { SetPricingInput, type PriceSource } from './replacement.input';

type PriceRow = RowOf<typeof pricesOfArticlesSql>;

/**
 * What articles would cost today, each by its own rule: last paid, typed, or reckoned from the metal's price. Where the rule has
 * nothing to go by (no price of the day yet), the last price paid stands.
 */
export async function replacementPrices(
  tx: Tx,
  articleIds: readonly Id<'article'>[],
): Promise<Map<string, PriceFor>> {
  const rows = await tx.rows(pricesOfArticlesSql, { articleIds: [...new Set(articleIds)] });
  const bySpot = rows.filter(({ priceBy }) => priceBy === 'spot').map(({ articleId }) => articleId);
  const specs = bySpot.length > 0 ? await specsById(tx, bySpot) : new Map<string, KnownSpec>();
  const metals = bySpot.length > 0 ? await lastMetalPrices(tx) : [];
  return new Map(
    rows.flatMap((row): [string, PriceFor][] => {
      const found = priceOf(row, specs.get(row.articleId), metals);
      return found ? [[row.articleId, found]] : [];
    }),
  );
}

function priceOf(
  row: PriceRow,
  spec: KnownSpec | undefined,
  metals: readonly KnownPrice[],
): PriceFor | undefined {
  if (row.priceBy === 'typed' && row.typed !== null && row.typedFor)
    return { price: cost(row.typed * COST_UNITS_PER_MINOR), quantity: row.typedFor };
  if (row.priceBy === 'spot' && spec) {
    const spot = metals.find(({ metal }) => metal === CONTENT[spec.metal]?.metal);
    const price = spot && spotCost(spec, um(UM_PER_METRE), spot.perKilogram, row);
    if (price !== undefined) return { price, quantity: UM_PER_METRE };
  }
  return row.paid !== null && row.paidFor
    ? { price: cost(row.paid * COST_UNITS_PER_MINOR), quantity: row.paidFor }
    : undefined;
}

/** How an article is priced, and what it was. */
export interface PriceView {
  readonly articleId: Id<'article'>;
  readonly name: string;
  readonly ware: Ware;
  readonly version: number;
  readonly priceBy: PriceSource;
  readonly premium: number;
  readonly fabricationPerMetre: MinorUnits;
  readonly now: PriceFor | null;
  /** Every price paid and typed, oldest first: for a metre of wire, for one of everything else. */
  readonly history: readonly {
    readonly day: Day;
    readonly source: 'paid' | 'typed';
    readonly perUnit: CostUnits;
  }[];
}

/** A price of an article on a day, for so much of it. */
interface PriceOfDay {
  readonly day: Day;
  readonly source: 'paid' | 'typed';
  readonly price: MinorUnits;
  readonly quantity: number;
}

/** The most prices of an article that are drawn. */
const MOST_PRICES = 400;

/** What was paid and typed for an article, oldest first; a gift says nothing of a price. */
async function pricesOverTime(tx: Tx, articleId: Id<'article'>): Promise<PriceOfDay[]> {
  const paid = await tx.all(Lot, ['boughtOn', 'price', 'quantity'], {
    where: { articleId, costIs: otherThan('free') },
    order: [['boughtOn', 'DESC']],
    limit: MOST_PRICES,
  });
  const typed = await tx.all(TypedPrice, ['typedAt', 'price', 'quantity'], {
    where: { articleId },
    order: [['typedAt', 'DESC']],
    limit: MOST_PRICES,
  });
  const all: PriceOfDay[] = [
    ...paid.map(({ boughtOn: day, ...price }) => ({ day, source: 'paid' as const, ...price })),
    ...typed.map(({ typedAt, ...price }) => ({
      day: dayIn(zoneOf(tx.session), typedAt),
      source: 'typed' as const,
      ...price,
    })),
  ];
  return all.toSorted((one, other) => one.day.localeCompare(other.day)).slice(-MOST_PRICES);
}

/** Opens how an article is priced; null when there is none. */
export function showPricing(session: StudioSession, articleId: Id<'article'>): Promise<PriceView | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const article = await Article.findOne({ where: { articleId } });
    if (!article) return null;
    const { name, ware, version, priceBy, premium, fabricationPerMetre } = article;
    const prices = await pricesOverTime(tx, articleId);
    return {
      articleId,
      name,
      ware,
      version,
      priceBy,
      premium,
      fabricationPerMetre,
      now: (await replacementPrices(tx, [articleId])).get(articleId) ?? null,
      history: prices.map(({ day, source, price, quantity }) => ({
        day,
        source,
        perUnit: costAt({ price: cost(price * COST_UNITS_PER_MINOR), quantity }, priceUnit(ware)),
      })),
    };
  });
}

/** Sets how an article's replacement price is found. A typed price is kept with its day. */
export const setPricing = posts(
  'setPricing',
  { input: SetPricingInput, by: 'owner' },
  async ({ tx, session }, input, articleId: Id<'article'>) => {
    const { userId, now } = session;
    const { currency, lengthSystem } = await settingsIn(tx);
    const article = await Article.findOne({ where: { articleId } });
    if (!article) throw refused('This article is no longer there.');
    if (article.version !== input.version)
      throw stale('Somebody changed this price while you had the page open. Reload it, then set it again.');
    const rule = { priceBy: input.priceBy };
    if (input.price) {
      const measure = { ware: article.ware };
      const quantity = parseAmountOf(measure, input.quantity);
      if (!quantity.ok) throw invalid('quantity', quantity.error);
      if (quantity.value === 0)
        throw invalid(
          'quantity',
          `“${input.quantity}” is ${formatAmountOf(measure, 0, lengthSystem)}; say what the price is for.`,
        );
      await tx.add(TypedPrice, [
        {
          articleId,
          typedAt: now,
          userId,
          price: inCurrency('price', input.price, currency),
          quantity: quantity.value,
        },
      ]);
    }
    if (input.premium !== null && input.fabricationPerMetre) {
      const spec = (await specsById(tx, [articleId])).get(articleId);
      if (!spec || !CONTENT[spec.metal])
        throw invalid(
          'priceBy',
          `There is no price of the day for ${spec ? metalOf(spec.metal).name : 'this'}; type one, or take the last paid.`,
        );
      Object.assign(rule, {
        premium: Math.round(input.premium * 100),
        fabricationPerMetre: inCurrency('fabricationPerMetre', input.fabricationPerMetre, currency),
      });
    }
    await article.update(rule);
    return null;
  },
);
