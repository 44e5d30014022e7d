import type { ChannelKind } from '@/core/selling/channel';
import type { OrderState } from '@/core/selling/order';
import type { MinorUnits } from '@/core/units/money';
import { big, date, int, many, maybe, text, uuid } from '../columns';
import { list } from './list';
import { statement } from './statement';

/** What is owed of an order that was handed over to be paid later: of what came back of it nothing is. */
const OWED = `COALESCE((SELECT GREATEST(0, s.gross - q.paid + COALESCE((SELECT sum(r.gross) FROM sales r WHERE r.studio_id = s.studio_id AND r.return_of = s.sale_id), 0))
    FROM sales s WHERE s.studio_id = q.studio_id AND s.sale_id = q.sale_id AND s.pay_by IS NOT NULL), 0)`;

const WITH_SALE = 'LEFT JOIN sales s ON s.studio_id = q.studio_id AND s.sale_id = q.sale_id';

/** Orders, each with what is paid of it and what is owed. */
export const ordersList = list({
  from: 'orders q',
  joins: `${WITH_SALE} JOIN channels c ON c.studio_id = q.studio_id AND c.channel_id = q.channel_id
    LEFT JOIN LATERAL (
      SELECT sum(l.count)::int AS pieces, string_agg(CASE WHEN l.count = 1 THEN l.name ELSE l.count || ' × ' || l.name END, ', ' ORDER BY l.line) AS names
        FROM order_lines l WHERE l.studio_id = q.studio_id AND l.order_id = q.order_id) AS t ON true`,
  where: 'q.studio_id = $studio',
  takes: {},
  filters: {
    called: { takes: many(text()), sql: `lower(q.buyer || ' ' || q.wishes) LIKE ALL ($called)` },
    tagged: { takes: int(), sql: 'q.number = $tagged' },
    state: { takes: text<OrderState>(), sql: 'q.state = $state' },
    isOpen: { sql: `(q.state IN ('quoted', 'ordered') OR (q.state = 'handed over' AND ${OWED} > 0))` },
    buyerIs: { takes: text(), sql: 'lower(q.buyer) = lower($buyerIs)' },
  },
  orders: {
    newest: { keys: [{ by: 'q.number', as: 'int8' }], isDown: true },
    due: {
      keys: [
        { by: `q.state <> 'ordered'`, as: 'bool' },
        { by: `COALESCE(q.due_on, DATE '2100-01-01')`, as: 'date' },
      ],
    },
  },
  number: 'q.number',
  columns: `q.number, q.buyer, q.state, q.quoted_on AS "quotedOn", q.valid_until AS "validUntil", q.due_on AS "dueOn", q.gross, q.paid,
    c.name AS channel, c.kind, s.pay_by AS "payBy", (${OWED})::bigint AS owed, COALESCE(t.pieces, 0) AS pieces, COALESCE(t.names, '') AS names`,
  gives: {
    number: int(),
    buyer: text(),
    state: text<OrderState>(),
    quotedOn: date(),
    validUntil: maybe(date()),
    dueOn: maybe(date()),
    gross: big<MinorUnits>(),
    paid: big<MinorUnits>(),
    channel: text(),
    kind: text<ChannelKind>(),
    payBy: maybe(date()),
    owed: big<MinorUnits>(),
    pieces: int(),
    names: text(),
  },
  sums: `count(*)::int AS total, count(*) FILTER (WHERE q.state = 'quoted')::int AS quoted, count(*) FILTER (WHERE q.state = 'ordered')::int AS ordered,
    COALESCE(sum(q.paid) FILTER (WHERE q.state = 'ordered'), 0)::bigint AS held, COALESCE(sum(${OWED}), 0)::bigint AS owed`,
  sumsGive: {
    total: int(),
    quoted: int(),
    ordered: int(),
    held: big<MinorUnits>(),
    owed: big<MinorUnits>(),
  },
});

/** What is owed of the invoice of an order; nothing of one that was paid when it was handed over. */
export const owedOfOrderSql = statement({
  takes: { orderId: uuid<'order'>() },
  gives: { owed: big<MinorUnits>() },
  text: `SELECT (${OWED})::bigint AS owed FROM orders q WHERE q.studio_id = $studio AND q.order_id = $orderId`,
});

/** Pieces that were made in a batch and lie where they can be handed over, with the line that each is of. */
export const madeForBatchSql = statement({
  takes: { batchId: uuid<'batch'>() },
  gives: { line: int(), number: int() },
  text: `SELECT b.line, f.number FROM batch_pieces b JOIN pieces f ON f.studio_id = b.studio_id AND f.piece_id = b.piece_id
      WHERE b.studio_id = $studio AND b.batch_id = $batchId AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL
        AND f.state IN ('on the shelf', 'reserved', 'at a shop')
      ORDER BY b.line, f.number`,
});

/** Pieces that were made for what somebody ordered and is not handed over yet, with who that is. */
export const orderedPiecesSql = statement({
  takes: { pieceIds: many(uuid<'piece'>()) },
  gives: { pieceId: uuid<'piece'>(), buyer: text() },
  text: `SELECT b.piece_id AS "pieceId", q.buyer FROM orders q JOIN batch_pieces b ON b.studio_id = q.studio_id AND b.batch_id = q.batch_id
      WHERE q.studio_id = $studio AND q.state = 'ordered' AND b.piece_id = ANY ($pieceIds)`,
});

/** Pieces of patterns that lie on the shelf for nobody, those first that were made first. */
export const onShelfOfPatternsSql = statement({
  takes: { patternIds: many(uuid<'pattern'>()), most: big() },
  gives: { patternId: uuid<'pattern'>(), number: int() },
  text: `SELECT f.pattern_id AS "patternId", f.number FROM pieces f
      WHERE f.studio_id = $studio AND f.pattern_id = ANY ($patternIds) AND f.state = 'on the shelf' AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL
        AND NOT EXISTS (SELECT FROM batch_pieces b JOIN orders q ON q.studio_id = b.studio_id AND q.batch_id = b.batch_id AND q.state = 'ordered'
                         WHERE b.studio_id = f.studio_id AND b.piece_id = f.piece_id)
      ORDER BY f.made_at, f.number LIMIT $most`,
});

/** What was paid for orders, of so many payments after a number. */
export const paymentsAfterSql = statement({
  takes: { after: int(), most: int() },
  gives: {
    number: int(),
    paidOn: date(),
    order: int(),
    buyer: text(),
    kind: text(),
    amount: big<MinorUnits>(),
    paidBy: text(),
    sale: maybe(int()),
    note: text(),
  },
  text: `SELECT p.number, p.paid_on AS "paidOn", q.number AS "order", q.buyer, p.kind, p.amount, p.paid_by AS "paidBy", s.number AS sale, p.note
      FROM order_payments p JOIN orders q ON q.studio_id = p.studio_id AND q.order_id = p.order_id ${WITH_SALE}
     WHERE p.studio_id = $studio AND p.number > $after AND p.number <= $after + $most ORDER BY p.number`,
});
