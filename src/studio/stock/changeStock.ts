import { tag } from '@/core/tag';
import type { Ware } from '@/core/stock/ware';
import { StockPiece } from '@/data/models/stock';
import { refused, stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { lockNumbered } from '../ledger/posting';
import { ensurePlace, ensureSpoolType } from './places';
import { ChangeStockInput } from './changeStock.input';

/** Puts a stock piece in another place, and says what its empty spool weighs. No quantity changes, so no movement is written. */
export const changeStock = posts(
  'changeStock',
  { input: ChangeStockInput },
  async ({ tx }, input, ware: Ware, number: number) => {
    const stock = await lockNumbered(tx, ware, number);
    if (!stock) throw refused(`There is no ${tag(ware, number)}.`);
    if (stock.version !== input.version)
      throw stale(
        `Somebody changed ${tag(ware, number)} while you had this page open. Reload it, then say it again.`,
      );
    const { emptyMass: emptyMassUg, spoolType } = input;
    const spoolTypeId =
      spoolType !== '' && emptyMassUg !== null ? await ensureSpoolType(tx, spoolType, emptyMassUg) : null;
    await tx.change(
      StockPiece,
      { stockPieceId: stock.id },
      {
        placeId: await ensurePlace(tx, input.place),
        note: input.note,
        spoolTypeId,
        emptyMassUg,
        version: stock.version + 1,
      },
    );
    return null;
  },
);
