import { big, date, text } from '../columns';
import type { CostUnits } from '@/core/units/money';
import { statement } from './statement';

const BETWEEN = { from: date(), to: date() };
const GIVES = { name: text(), standing: big<CostUnits>() };
const STOOD = `stall_costs k JOIN channels c ON c.studio_id = k.studio_id AND c.channel_id = k.channel_id
       WHERE k.studio_id = $studio AND k.struck_at IS NULL AND k.day BETWEEN $from AND $to`;

/** What standing somewhere cost between two days, by something that all of it belongs to. */
const wholeBy = (of: string, where = '') =>
  statement({
    takes: BETWEEN,
    gives: GIVES,
    text: `SELECT ${of} AS name, sum(k.amount * 1000)::bigint AS standing FROM ${STOOD} ${where} GROUP BY 1 ORDER BY 1`,
  });

/**
 * The same, shared by what was paid for them over the pieces that were sold there on its day; by their count where nothing was. Where no piece was
 * sold nobody bears it.
 */
const sharedBy = (of: string, joins = '') =>
  statement({
    takes: BETWEEN,
    gives: GIVES,
    text: `WITH stood AS (SELECT k.channel_id, k.day, sum(k.amount) * 1000 AS amount FROM ${STOOD} GROUP BY 1, 2),
        lines AS (SELECT l.studio_id, l.piece_id, l.pattern_id, l.kind, l.metal, d.amount, l.net, sum(l.net) OVER w AS total, count(*) OVER w AS pieces
                    FROM stood d
                    JOIN sale_lines l ON l.studio_id = $studio AND l.channel_id = d.channel_id AND l.sold_on = d.day AND l.pieces > 0
                  WINDOW w AS (PARTITION BY d.channel_id, d.day))
      SELECT ${of} AS name, sum(round(CASE WHEN l.total > 0 THEN l.amount * l.net / l.total ELSE l.amount / l.pieces END))::bigint AS standing
        FROM lines l ${joins} GROUP BY 1 ORDER BY 1`,
  });

/** What standing at fairs and elsewhere cost, by what earnings are told by. */
export const standingSql = {
  month: wholeBy(`to_char(k.day, 'YYYY-MM')`),
  channel: wholeBy('c.name'),
  fair: wholeBy(`to_char(k.day, 'YYYY-MM-DD') || ' ' || c.name`, `AND c.kind = 'fair'`),
  pattern: sharedBy(
    `'P-' || lpad(p.number::text, 4, '0') || ' ' || p.name`,
    'JOIN patterns p ON p.studio_id = l.studio_id AND p.pattern_id = l.pattern_id',
  ),
  piece: sharedBy('f.number::text', 'JOIN pieces f ON f.studio_id = l.studio_id AND f.piece_id = l.piece_id'),
  kind: sharedBy('l.kind'),
  metal: sharedBy('l.metal'),
  all: wholeBy(`'all'`),
};
