import type { Micrometres } from '@/core/units/length';
import type { CostUnits } from '@/core/units/money';
import type { MovementKind } from '@/core/stock/movement';
import { SPEC_COLUMNS, SPEC_GIVES } from './fragments';
import { big, int, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** Who made a finished piece, of which pattern, in which batch, and the findings that it became. */
export const namesOfPieceSql = statement({
  takes: { pieceId: uuid(), drawerStockId: maybe(uuid()), patternId: uuid(), userId: uuid() },
  gives: { patternNumber: int(), madeBy: text(), batchNumber: maybe(int()), findings: maybe(int()) },
  text: `SELECT p.number AS "patternNumber", u.name AS "madeBy", (SELECT b.number FROM batch_pieces m
                JOIN batches b ON b.studio_id = m.studio_id AND b.batch_id = m.batch_id
               WHERE m.studio_id = $studio AND m.piece_id = $pieceId) AS "batchNumber",
              (SELECT d.number FROM stock_pieces d WHERE d.studio_id = $studio AND d.stock_piece_id = $drawerStockId) AS findings
         FROM patterns p, users u WHERE p.studio_id = $studio AND p.pattern_id = $patternId AND u.studio_id = $studio AND u.user_id = $userId`,
});

/** The movements of wire that a finished piece was made with. */
export const wiresOfPieceSql = statement({
  takes: { pieceId: uuid() },
  gives: {
    kind: text<MovementKind>(),
    stockNumber: int(),
    length: big<Micrometres>(),
    cost: maybe(big<CostUnits>()),
    reason: text(),
    ...SPEC_GIVES,
  },
  text: `SELECT m.kind, p.number AS "stockNumber", m.quantity AS length, m.cost_units AS cost, m.reason, ${SPEC_COLUMNS}
         FROM movements m
         JOIN stock_pieces p ON p.studio_id = m.studio_id AND p.stock_piece_id = m.stock_piece_id
         JOIN wire_specs s ON s.studio_id = m.studio_id AND s.spec_id = m.article_id
        WHERE m.studio_id = $studio AND m.piece_id = $pieceId ORDER BY m.movement_id`,
});
