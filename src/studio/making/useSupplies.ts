import { costAt } from '@/core/costing/unitPrice';
import { cost, type CostUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { lockStock, type Posting } from '../ledger/posting';
import { replacementPrices } from '../prices/replacement';

interface Needed {
  readonly articleId: string;
  readonly perPiece: number;
  readonly stockPieceId: string;
}

/**
 * Takes what every finished piece uses up of each supply from its oldest pack. A pack that has run dry gives what it has: a piece
 * is not held up for polish. @returns what it cost, and would cost today
 */
export async function useSupplies(
  tx: Tx,
  posting: Posting,
): Promise<{ readonly suppliesCost: CostUnits; readonly suppliesReplacement: CostUnits }> {
  const needed = await tx.select<Needed>(
    `SELECT y.article_id AS "articleId", y.per_piece AS "perPiece", p.stock_piece_id AS "stockPieceId"
       FROM supplies y CROSS JOIN LATERAL (
         SELECT stock_piece_id FROM stock_pieces WHERE studio_id = $1 AND article_id = y.article_id AND quantity > 0
          ORDER BY number LIMIT 1) AS p
      WHERE y.studio_id = $1 AND y.per_piece > 0 ORDER BY y.article_id`,
    [tx.session.studioId],
  );
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
