import { tag } from '@/core/tag';
import type { Ware } from '@/core/stock/ware';
import { StockPiece } from '@/data/models/stock';
import { refused, stale, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { post, type StudioSession } from '../kernel/useCase';
import { lockNumbered } from '../ledger/posting';
import { ensurePlace, ensureSpoolType } from './places';
import { ChangeStockInput } from './changeStock.input';

/** Puts a stock piece in another place, and says what its empty spool weighs. No quantity changes, so no movement is written. */
export function changeStock(
  session: StudioSession,
  postKey: string,
  ware: Ware,
  number: number,
  plain: unknown,
): Promise<Outcome<null>> {
  const prepare = () => readInput(ChangeStockInput, plain);
  return post(session, 'changeStock', postKey, prepare, async (tx, input) => {
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
  });
}
