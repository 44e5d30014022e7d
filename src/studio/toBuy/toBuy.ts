import type { Id } from '@/core/id';
import { costAt } from '@/core/costing/unitPrice';
import { formatAmountOf, parseAmountOf, type SupplyUnit } from '@/core/stock/amount';
import { minimumOf, toBuy, USE_DAYS, type StockLevel, type ToBuy } from '@/core/stock/toBuy';
import type { Ware } from '@/core/stock/ware';
import type { CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Article } from '@/data/models/articles';
import { levelsOfSql } from '@/data/sql/purchases';
import { invalid, refused, stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { wantedByBatches } from '../batches/wantedByBatches';
import { replacementPrices } from '../prices/replacement';
import { settingsIn } from '../settings/settings';
import { measureOf } from '../stock/takeOut';
import { SetMinimumInput } from './toBuy.input';

/** One article that is running out. */
export interface ShoppingLine extends ToBuy {
  readonly articleId: Id<'article'>;
  readonly ware: Ware;
  readonly name: string;
  readonly unit: SupplyUnit | null;
  readonly inStock: number;
  readonly supplier: string | null;
  /** What open batches want of it. */
  readonly forBatches: number;
  /** At what it would cost today; null for helpers. */
  readonly cost: CostUnits | null;
}

interface LevelRow extends StockLevel {
  readonly articleId: Id<'article'>;
  readonly ware: Ware;
  readonly name: string;
  readonly unit: SupplyUnit | null;
  readonly supplier: string | null;
}

/** Articles with a minimum, or of some ids, what there is of each, what 90 days took, and where it was bought last. */
const levels = (
  tx: Tx,
  articleId: Id<'article'> | null,
  besides: readonly string[] = [],
): Promise<LevelRow[]> =>
  tx.rows(levelsOfSql, { now: tx.session.now, articleId, besides, useDays: USE_DAYS });

/** What to buy, by supplier, rounded to how it is sold. */
export function listToBuy(session: StudioSession): Promise<ShoppingLine[]> {
  return look(session, async (tx) => {
    const wanted = await wantedByBatches(tx);
    const rows = await levels(tx, null, [...wanted.keys()]);
    const short = rows.flatMap((row) => {
      const buy = toBuy({ ...row, wanted: wanted.get(row.articleId) });
      return buy ? [{ row, buy }] : [];
    });
    const sees = session.role === 'owner';
    const prices = sees
      ? await replacementPrices(
          tx,
          short.map(({ row }) => row.articleId),
        )
      : new Map<string, never>();
    return short.map(({ row, buy }) => {
      const price = prices.get(row.articleId);
      const { articleId, ware, name, unit, quantity, supplier } = row;
      return {
        ...buy,
        articleId,
        ware,
        name,
        unit,
        inStock: quantity,
        supplier,
        forBatches: wanted.get(articleId)?.needed ?? 0,
        cost: price ? costAt(price, buy.quantity) : null,
      };
    });
  });
}

/** How much of an article should be there. */
export interface MinimumView {
  readonly articleId: Id<'article'>;
  readonly version: number;
  readonly minimumBy: 'none' | 'typed' | 'use';
  readonly minimum: number;
  readonly soldBy: number;
  readonly used: number;
  /** The least that should be there now, by the rule. */
  readonly least: number;
}

export function showMinimum(session: StudioSession, articleId: Id<'article'>): Promise<MinimumView | null> {
  return look(session, async (tx) => {
    const [level] = await levels(tx, articleId);
    const article = await Article.findOne({ where: { articleId } });
    if (!level || !article) return null;
    const { minimumBy, minimum, soldBy, used } = level;
    return { articleId, version: article.version, minimumBy, minimum, soldBy, used, least: minimumOf(level) };
  });
}

export const setMinimum = posts(
  'setMinimum',
  { input: SetMinimumInput, by: 'owner' },
  async ({ tx, session }, input, articleId: Id<'article'>) => {
    const where = { studioId: session.studioId, articleId };
    const article = await Article.findOne({ where });
    if (!article) throw refused('This article is no longer there.');
    if (article.version !== input.version)
      throw stale('Somebody changed this while you had the page open. Reload it, then set it again.');
    const measure = await measureOf(tx, article);
    const { lengthSystem } = await settingsIn(tx);
    const read = (field: 'minimum' | 'soldBy', text: string): number => {
      const amount = parseAmountOf(measure, text);
      if (!amount.ok) throw invalid(field, amount.error);
      if (amount.value === 0)
        throw invalid(
          field,
          `“${text}” is ${formatAmountOf(measure, 0, lengthSystem)}; it must be more than 0.`,
        );
      return amount.value;
    };
    await article.update({
      minimumBy: input.minimumBy,
      minimum: input.minimumBy === 'typed' ? read('minimum', input.minimum) : article.minimum,
      soldBy: input.soldBy === '' ? 0 : read('soldBy', input.soldBy),
    });
    return null;
  },
);
