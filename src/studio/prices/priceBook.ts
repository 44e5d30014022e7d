import { PART_WARES } from '@/core/stock/ware';
import type { Id } from '@/core/id';
import { partKey } from '@/core/part/partKey';
import type { Cost2 } from '@/core/costing/costSheet';
import type { Price2, PriceBook, PricedPart } from '@/core/costing/forecast';
import { costAt, type PriceFor } from '@/core/costing/unitPrice';
import { learnSpoilage } from '@/core/learning/spoilage';
import { cost } from '@/core/units/money';
import { moreThan } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Supply } from '@/data/models/drawers';
import { WireSpecRow } from '@/data/models/articles';
import { Piece } from '@/data/models/making';
import { namesOfPartsSql } from '@/data/sql/parts';
import { onHandOfSql } from '@/data/sql/stock';
import { freeOf, kindsInDrawers, partsInDrawers } from '../drawers/partsInDrawers';
import { look, type StudioSession } from '../kernel/useCase';
import { replacementPrices } from './replacement';

/** What everything costs that a piece may take, for the owner; helpers are given null. */
export const priceBook = (
  session: StudioSession,
  only?: Parameters<typeof priceBookIn>[1],
): Promise<PriceBook | null> =>
  session.role === 'owner' ? look(session, (tx) => priceBookIn(tx, only)) : Promise.resolve(null);

/**
 * What everything costs that a piece may take: wires, beads, stones and findings at what was paid on average for what lies in the
 * studio, or at the last price where none does, and at today’s price.
 * @param only of these wires, and of what fits parts of these names; of all that the studio knows when it is left out
 */
export async function priceBookIn(
  tx: Tx,
  only?: { readonly specIds: readonly Id<'article'>[]; readonly parts: readonly string[] },
): Promise<PriceBook> {
  const wireIds = only?.specIds ?? (await allSpecs(tx));
  const wanted =
    only && new Set((await partsInDrawers(tx, only.parts, null)).map(({ articleId }) => articleId));
  const kinds = (await kindsInDrawers(tx, PART_WARES, null)).filter(
    ({ articleId }) => !wanted || wanted.has(articleId),
  );
  const free = await freeOf(
    tx,
    kinds.map(({ articleId }) => articleId),
    null,
  );
  const ids = [...wireIds, ...kinds.map(({ articleId }) => articleId)];
  const paid = await paidPrices(tx, ids);
  const today = await replacementPrices(tx, ids);
  const priceOf = (id: string): Price2 | null => {
    const [was, now] = [paid.get(id) ?? today.get(id), today.get(id) ?? paid.get(id)];
    return was && now ? { paid: was, today: now } : null;
  };
  const aliases = await aliasesOf(tx);
  return {
    wires: Object.fromEntries(
      wireIds.flatMap((id): [string, Price2][] => {
        const price = priceOf(id);
        return price ? [[id, price]] : [];
      }),
    ),
    parts: kinds.map(({ articleId, article, kind }): PricedPart => ({
      name: article,
      aliases: aliases.get(articleId) ?? [],
      kind,
      free: free.get(articleId) ?? 0,
      price: priceOf(articleId),
    })),
    supplies: await suppliesOfOne(tx),
    spoils: await spoilsOf(tx),
  };
}

/** So many of the latest pieces tell what is lost on the way. */
const LATEST = 300;

/** What is lost on the way for each piece, by what was lost for the latest ones. */
async function spoilsOf(tx: Tx): Promise<number> {
  const pieces = await tx.all(Piece, ['wireReplacement', 'spoilageReplacement'], {
    where: { struckAt: null },
    order: [['number', 'DESC']],
    limit: LATEST,
  });
  return learnSpoilage(
    pieces.map(({ wireReplacement: wire, spoilageReplacement: spoiled }) => ({ wire, spoiled })),
  );
}

const allSpecs = async (tx: Tx): Promise<string[]> =>
  (await tx.all(WireSpecRow, ['specId'])).map(({ specId }) => specId);

/** What was paid for what there is of articles, on average; those of which there is nothing are left out. */
async function paidPrices(tx: Tx, ids: readonly string[]): Promise<Map<string, PriceFor>> {
  const rows = await tx.rows(onHandOfSql, { articleIds: ids });
  return new Map(rows.map(({ articleId, cost: price, quantity }) => [articleId, { price, quantity }]));
}

/** What names of parts are said to be which article. */
async function aliasesOf(tx: Tx): Promise<Map<string, string[]>> {
  const rows = await tx.rows(namesOfPartsSql, {});
  return new Map(rows.map(({ id, names }) => [id, names.map(partKey)]));
}

/** Polish, antiquing and packaging that one finished piece uses up. */
async function suppliesOfOne(tx: Tx): Promise<Cost2> {
  const used = await tx.all(Supply, ['articleId', 'perPiece'], { where: { perPiece: moreThan(0) } });
  const ids = used.map(({ articleId }) => articleId);
  const [paid, today] = [await paidPrices(tx, ids), await replacementPrices(tx, ids)];
  const sum = (prices: ReadonlyMap<string, PriceFor>, otherwise: ReadonlyMap<string, PriceFor>) =>
    cost(
      used.reduce((total, { articleId, perPiece }) => {
        const price = prices.get(articleId) ?? otherwise.get(articleId);
        return total + (price ? costAt(price, perPiece) : 0);
      }, 0),
    );
  return { actual: sum(paid, today), replacement: sum(today, paid) };
}
