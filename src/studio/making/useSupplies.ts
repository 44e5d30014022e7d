import { costAt } from '@/core/costing/unitPrice';
import { cost, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { suppliesOfEveryPieceSql } from '@/data/sql/stock';
import { lockStock, type Posting } from '../ledger/posting';
import { replacementPrices } from '../prices/replacement';

/**
 * Takes what every finished piece uses up of each supply from its oldest pack. A pack that has run dry gives what it has: a piece
 * is not held up for polish. @returns what it cost, and would cost today
 */
export async function useSupplies(
  tx: Tx,
  posting: Posting,
): Promise<{ readonly suppliesCost: CostUnits; readonly suppliesReplacement: CostUnits }> {
  const needed = await tx.rows(suppliesOfEveryPieceSql, {});
  const packs = await lockStock(
    tx,
    needed.map(({ stockPieceId }) => stockPieceId),
  );
  const prices = await replacementPrices(
    tx,
    needed.map(({ articleId }) => articleId),
  );
  posting.hold(...packs.values());
  let [actual, today] = [0, 0];
  for (const { articleId, perPiece, stockPieceId } of needed) {
    const quantity = Math.min(perPiece, packs.get(stockPieceId)?.quantity ?? 0);
    if (quantity === 0) continue;
    const share = posting.take(stockPieceId, 'used', quantity);
    const price = prices.get(articleId);
    actual += share;
    today += price ? costAt(price, quantity) : share;
  }
  return { suppliesCost: cost(actual), suppliesReplacement: cost(today) };
}
