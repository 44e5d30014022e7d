import type { ChannelKind } from '@/core/selling/channel';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, date, int, maybe, text, uuid } from '../columns';
import { list } from './list';

/** What was sold and what came back, each with its money; what the pieces of it stood in the books at comes beside it. */
export const salesList = list({
  from: 'sales s',
  joins: `JOIN channels c ON c.studio_id = s.studio_id AND c.channel_id = s.channel_id
    LEFT JOIN sales o ON o.studio_id = s.studio_id AND o.sale_id = s.return_of
    LEFT JOIN LATERAL (
      SELECT count(l.piece_id)::int AS pieces, sum(l.cost_units)::bigint AS cost,
             string_agg(f.name, ', ' ORDER BY l.line) AS names
        FROM sale_lines l LEFT JOIN pieces f ON f.studio_id = l.studio_id AND f.piece_id = l.piece_id
       WHERE l.studio_id = s.studio_id AND l.sale_id = s.sale_id) AS t ON true`,
  where: 's.studio_id = $studio',
  takes: {},
  filters: {
    channel: { takes: uuid<'channel'>(), sql: 's.channel_id = $channel' },
    from: { takes: date(), sql: 's.sold_on >= $from' },
    to: { takes: date(), sql: 's.sold_on <= $to' },
    buyer: { takes: text(), sql: `s.buyer ILIKE '%' || $buyer || '%'` },
    buyerIs: { takes: text(), sql: `lower(s.buyer) = lower($buyerIs) AND s.buyer <> ''` },
    number: { takes: int(), sql: 's.number = $number' },
    isReturn: { sql: 's.return_of IS NOT NULL' },
  },
  orders: {
    newest: { keys: [{ by: 's.sold_on', as: 'date' }], isDown: true },
    oldest: { keys: [{ by: 's.sold_on', as: 'date' }] },
    largest: { keys: [{ by: 's.gross', as: 'int8' }], isDown: true },
  },
  number: 's.number',
  columns: `s.number, s.sold_on AS "soldOn", s.buyer, c.name AS channel, c.kind, o.number AS "returnOf", s.gross, s.net, s.tax, s.fees, s.sending,
    t.pieces, COALESCE(t.cost, 0)::bigint AS cost, COALESCE(t.names, '') AS names`,
  gives: {
    number: int(),
    soldOn: date(),
    buyer: text(),
    channel: text(),
    kind: text<ChannelKind>(),
    /** Number of the sale that something came back of; null for a sale. */
    returnOf: maybe(int()),
    gross: big<MinorUnits>(),
    net: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    fees: big<MinorUnits>(),
    sending: big<MinorUnits>(),
    pieces: int(),
    cost: big<CostUnits>(),
    names: text(),
  },
  sums: `count(*)::int AS total, COALESCE(sum(s.gross), 0)::bigint AS gross, COALESCE(sum(s.tax), 0)::bigint AS tax,
    COALESCE(sum(s.net - s.fees - s.sending), 0)::bigint AS "left"`,
  sumsGive: { total: int(), gross: big<MinorUnits>(), tax: big<MinorUnits>(), left: big<MinorUnits>() },
});
