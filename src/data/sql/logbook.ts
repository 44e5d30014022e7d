import type { Micrometres } from '@/core/units/length';
import { big, bool, float, instant, int, many, text, uuid } from '../columns';
import { statement } from './statement';

/** The latest measured wires of a subject, and whether each is of one maker's makings of a pattern. */
const MEASURED = `SELECT w.piece_id AS "pieceId", w.pattern_id = $patternId AND w.user_id = $userId AS own, w.planned, w.tails, w.cut, w.back,
          w.made_at AS "madeAt" FROM wire_log w JOIN pieces p ON p.studio_id = w.studio_id AND p.piece_id = w.piece_id
        WHERE w.studio_id = $studio AND w.subject = wanted.subject AND w.is_measured AND p.struck_at IS NULL`;
const LATEST = 'ORDER BY w.made_at DESC LIMIT $most';

/**
 * The latest wires of some subjects that were measured: of one maker's makings of a pattern, and of others, as far as there are any among the
 * latest of all. Where one's own fill those, others would tell nothing more.
 */
export const measuredWiresSql = statement({
  takes: { subjects: many(text()), patternId: uuid<'pattern'>(), userId: uuid<'user'>(), most: big() },
  gives: {
    subject: text(),
    pieceId: uuid<'piece'>(),
    own: bool(),
    planned: big<Micrometres>(),
    tails: big<Micrometres>(),
    cut: big<Micrometres>(),
    back: big<Micrometres>(),
    madeAt: instant(),
  },
  text: `SELECT wanted.subject, l.* FROM unnest($subjects::text[]) AS wanted(subject)
     CROSS JOIN LATERAL (
       (${MEASURED} AND w.pattern_id = $patternId AND w.user_id = $userId ${LATEST})
       UNION ALL (SELECT * FROM (${MEASURED} ${LATEST}) AS latest WHERE NOT own)) AS l`,
});

/**
 * The latest makings of some patterns, by their numbers, that somebody timed or said the minutes of: a form that is sent with the minutes that it was opened with says
 * nothing of the time.
 */
export const timedMakingsSql = statement({
  takes: { patterns: many(int()), most: big() },
  gives: { pattern: int(), minutes: float(), planned: float(), madeAt: instant() },
  text: `SELECT t.number AS pattern, l.* FROM patterns t
     CROSS JOIN LATERAL (
       SELECT p.minutes, p.planned_minutes AS planned, p.made_at AS "madeAt" FROM pieces p
        WHERE p.studio_id = t.studio_id AND p.pattern_id = t.pattern_id AND p.struck_at IS NULL
          AND p.planned_minutes > 0 AND p.minutes > 0 AND p.minutes <> p.planned_minutes
        ORDER BY p.number DESC LIMIT $most) AS l
     WHERE t.studio_id = $studio AND t.number = ANY ($patterns)`,
});

/** The latest turns that were measured of some wires, and of others of their metal and temper. */
export const measuredBendsSql = statement({
  takes: { specIds: many(uuid<'article'>()), most: big() },
  gives: {
    specId: uuid<'article'>(),
    own: bool(),
    on: big<Micrometres>(),
    came: big<Micrometres>(),
    madeAt: instant(),
  },
  text: `SELECT s.spec_id AS "specId", l.own, l.bent_on AS on, l.came, l.made_at AS "madeAt" FROM wire_specs s
     CROSS JOIN LATERAL (
       SELECT b.article_id = s.spec_id AS own, b.bent_on, b.came, b.made_at FROM wire_specs alike
         JOIN bend_log b ON b.studio_id = alike.studio_id AND b.article_id = alike.spec_id
         JOIN pieces p ON p.studio_id = b.studio_id AND p.piece_id = b.piece_id
        WHERE alike.studio_id = s.studio_id AND alike.metal = s.metal AND alike.temper = s.temper AND p.struck_at IS NULL
        ORDER BY b.made_at DESC LIMIT $most) AS l
     WHERE s.studio_id = $studio AND s.spec_id = ANY ($specIds)`,
});

/** The latest steps of makings that were timed for some works, in whichever pattern. */
export const timedStepsSql = statement({
  takes: { works: many(text()), most: big() },
  gives: {
    work: text(),
    pattern: int(),
    making: uuid<'piece'>(),
    minutes: float(),
    planned: float(),
    madeAt: instant(),
  },
  text: `SELECT wanted.work, t.number AS pattern, l.making, l.minutes, l.planned, l."madeAt" FROM unnest($works::text[]) AS wanted(work)
     CROSS JOIN LATERAL (
       SELECT s.piece_id AS making, s.minutes, s.planned_minutes AS planned, s.made_at AS "madeAt", s.pattern_id FROM step_log s
         JOIN pieces p ON p.studio_id = s.studio_id AND p.piece_id = s.piece_id
        WHERE s.studio_id = $studio AND s.subject = wanted.work AND s.planned_minutes > 0 AND p.struck_at IS NULL
        ORDER BY s.made_at DESC LIMIT $most) AS l
     JOIN patterns t ON t.studio_id = $studio AND t.pattern_id = l.pattern_id`,
});
