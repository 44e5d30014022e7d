import type { MinorUnits } from '@/core/units/money';
import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import type { Composition } from '@/core/pattern/composition';
import { big, bool, date, int, json, many, maybe, text } from '../columns';
import { statement } from './statement';

/** The last price that a piece of each pattern was given, by the pattern's number. */
export const lastPricesOfSql = statement({
  takes: { patterns: many(int()) },
  gives: { number: int(), price: big<MinorUnits>() },
  text: `SELECT DISTINCT ON (p.number) p.number, f.price FROM patterns p
       JOIN pieces f ON f.studio_id = p.studio_id AND f.pattern_id = p.pattern_id
      WHERE p.studio_id = $studio AND p.number = ANY ($patterns) AND f.price IS NOT NULL AND f.struck_at IS NULL
      ORDER BY p.number, f.number DESC`,
});

/** Patterns that are composed of techniques, the latest first, below a number. */
export const composedPatternsSql = statement({
  takes: { under: maybe(int()), most: big() },
  gives: { number: int(), name: text(), kind: text<PatternKind>(), body: json<PatternBody>() },
  text: `SELECT p.number, p.name, p.kind, r.body
         FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE p.studio_id = $studio AND ($under::int IS NULL OR p.number < $under) AND r.body ? 'composition'
        ORDER BY p.number DESC LIMIT $most`,
});

/** Patterns of a kind, or of any, the most made first, each with the last price that it was sold at. */
export const patternsMostMadeSql = statement({
  takes: { kind: text(), most: big() },
  gives: { number: int(), name: text(), body: json<PatternBody>(), price: maybe(big<MinorUnits>()) },
  text: `SELECT p.number, p.name, r.body, s.price FROM patterns p
       JOIN pattern_revisions r ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
       LEFT JOIN LATERAL (SELECT f.price FROM pieces f WHERE f.studio_id = $studio AND f.pattern_id = p.pattern_id AND f.price IS NOT NULL
                             AND f.struck_at IS NULL ORDER BY f.number DESC LIMIT 1) AS s ON true
      WHERE p.studio_id = $studio AND ($kind = 'any' OR p.kind = $kind)
      ORDER BY (SELECT count(*) FROM pieces f WHERE f.studio_id = $studio AND f.pattern_id = p.pattern_id) DESC, p.number LIMIT $most`,
});

/** Every pattern, by name: some thousand at most. */
export const patternsByNameSql = statement({
  takes: {},
  gives: { number: int(), name: text(), composition: maybe(json<Composition>()) },
  text: `SELECT p.number, p.name, r.body -> 'composition' AS composition
         FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE p.studio_id = $studio ORDER BY lower(p.name), p.number LIMIT 2000`,
});

/** What finished pieces were made as, by their numbers: for a batch as its line says, else as their revision of the pattern does. One that was written by hand has no look of its own; when the pattern was composed since, that is how it looks. */
export const bodiesOfPiecesSql = statement({
  takes: { numbers: many(int()) },
  gives: { number: int(), body: json<PatternBody>() },
  text: `SELECT f.number, CASE WHEN COALESCE(l.body, r.body) ? 'composition' OR NOT newest.body ? 'composition'
                           THEN COALESCE(l.body, r.body) ELSE newest.body END AS body
       FROM pieces f
       JOIN pattern_revisions r
         ON r.studio_id = f.studio_id AND r.pattern_id = f.pattern_id AND r.revision = f.revision
       JOIN patterns p ON p.studio_id = f.studio_id AND p.pattern_id = f.pattern_id
       JOIN pattern_revisions newest
         ON newest.studio_id = p.studio_id AND newest.pattern_id = p.pattern_id AND newest.revision = p.revision
       LEFT JOIN batch_pieces m ON m.studio_id = f.studio_id AND m.piece_id = f.piece_id
       LEFT JOIN batch_lines l ON l.studio_id = m.studio_id AND l.batch_id = m.batch_id AND l.line = m.line
      WHERE f.studio_id = $studio AND f.number = ANY ($numbers)`,
});

/** What pieces of patterns were sold for since a day, by channel, apart for some months of the year; what came back is taken off again. */
export const soldLikeSql = statement({
  takes: { patterns: many(int()), months: many(int()), since: date() },
  gives: {
    pattern: int(),
    channel: text(),
    inSeason: bool(),
    pieces: int(),
    price: big<MinorUnits>(),
    days: int(),
  },
  text: `SELECT p.number AS pattern, c.name AS channel, EXTRACT(month FROM l.stood_on)::int = ANY ($months) AS "inSeason",
           sum(l.pieces)::int AS pieces, sum(l.price)::bigint AS price, sum(l.days)::int AS days
      FROM patterns p
      JOIN sale_lines l ON l.studio_id = p.studio_id AND l.pattern_id = p.pattern_id AND l.sold_on >= $since
      JOIN channels c ON c.studio_id = l.studio_id AND c.channel_id = l.channel_id
     WHERE p.studio_id = $studio AND p.number = ANY ($patterns) GROUP BY 1, 2, 3 HAVING sum(l.pieces) > 0 ORDER BY 1, 2, 3`,
});
