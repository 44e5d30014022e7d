import type { CostUnits, MinorUnits } from '@/core/units/money';
import { big, date, float, int, text } from '../columns';
import { METAL_OF_PIECE, PATTERN_OF_PIECE, PATTERNS_OF_PIECES } from './standing';
import { statement } from './statement';

/** Minutes of a piece f, with its share of setting up. */
const MINUTES = '(f.minutes + f.set_up_minutes / f.shared_by)';
/** What an hourly rate comes to for them, in thousandths of a minor unit. */
const hours = (rate: string): string => `round(${MINUTES} * f.${rate} * 1000 / 60)::bigint`;

/** What pieces brought and took that were sold between two days, by something of them; what came back is taken off again. */
const earnedBy = (of: string, joins = '') =>
  statement({
    takes: { from: date(), to: date() },
    gives: {
      name: text(),
      pieces: int(),
      takings: big<MinorUnits>(),
      fees: big<MinorUnits>(),
      sending: big<MinorUnits>(),
      materials: big<CostUnits>(),
      replaced: big<CostUnits>(),
      minutes: float(),
      labour: big<CostUnits>(),
      overhead: big<CostUnits>(),
      days: float(),
    },
    text: `SELECT ${of} AS name, sum(k.sign)::int AS pieces, sum(l.net)::bigint AS takings, sum(l.fees)::bigint AS fees, sum(l.sending)::bigint AS sending,
             sum(k.sign * (f.wire_cost + f.scrap_cost + f.spoilage_cost + f.parts_cost + f.supplies_cost))::bigint AS materials,
             sum(k.sign * (f.wire_replacement + f.scrap_replacement + f.spoilage_replacement + f.parts_cost + f.supplies_replacement))::bigint AS replaced,
             sum(k.sign * ${MINUTES})::float8 AS minutes,
             sum(k.sign * ${hours('hourly_rate')})::bigint AS labour, sum(k.sign * ${hours('overhead_per_hour')})::bigint AS overhead,
             sum(k.sign * GREATEST(0, o.sold_on - (f.made_at AT TIME ZONE t.time_zone)::date))::float8 AS days
        FROM sales s
        JOIN sale_lines l ON l.studio_id = s.studio_id AND l.sale_id = s.sale_id
        JOIN pieces f ON f.studio_id = l.studio_id AND f.piece_id = l.piece_id
        JOIN studios t ON t.studio_id = s.studio_id
        -- What comes back takes off what its sale told.
        JOIN sales o ON o.studio_id = s.studio_id AND o.sale_id = COALESCE(s.return_of, s.sale_id)
        CROSS JOIN LATERAL (SELECT CASE WHEN s.return_of IS NULL THEN 1 ELSE -1 END AS sign) AS k
        ${joins}
       WHERE s.studio_id = $studio AND s.sold_on BETWEEN $from AND $to
       GROUP BY 1 ORDER BY 1`,
  });

const CHANNEL = 'JOIN channels c ON c.studio_id = s.studio_id AND c.channel_id = s.channel_id';

/** The same by months, channels, days of fairs, patterns, kinds and metals, and of all. */
export const earnedSql = {
  month: earnedBy(`to_char(s.sold_on, 'YYYY-MM')`),
  channel: earnedBy('c.name', CHANNEL),
  fair: earnedBy(
    `to_char(o.sold_on, 'YYYY-MM-DD') || ' ' || c.name`,
    `JOIN channels c ON c.studio_id = s.studio_id AND c.channel_id = s.channel_id AND c.kind = 'fair'`,
  ),
  pattern: earnedBy(PATTERN_OF_PIECE, PATTERNS_OF_PIECES),
  kind: earnedBy('f.kind'),
  metal: earnedBy(METAL_OF_PIECE),
  all: earnedBy(`'all'`),
};
