import { costAt } from '@/core/costing/unitPrice';
import type { CostedPiece } from '@/core/selling/whatIf';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import type { MetalId } from '@/core/wire/metal';
import type { Tx } from '@/data/inStudio';
import type { soldPiecesSql } from '@/data/sql/costedPieces';
import type { RowOf } from '@/data/sql/statement';
import { specsById } from '../catalogue/wireSpecs';
import { replacementPrices } from '../prices/replacement';

type Taken = Omit<RowOf<typeof soldPiecesSql>, 'price'>;

/** What pieces take at today’s prices: their wire by its metal, and with it as much as was lost of it then. */
export async function costedToday<Row extends Taken>(
  tx: Tx,
  rows: readonly Row[],
): Promise<(row: Row) => Omit<CostedPiece, 'price'>> {
  const articles = [...new Set(rows.flatMap((row) => row.articles))];
  const prices = await replacementPrices(tx, articles);
  const specs = await specsById(tx, articles);
  return ({
    number,
    pattern,
    minutes,
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
    return { number, pattern, wire, stones, rest, minutes };
  };
}
