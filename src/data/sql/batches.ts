import type { Day } from '@/core/calendar/day';
import type { Planning, BatchState, WantedLine } from '@/core/batch/batchState';
import type { PatternBody } from '@/core/pattern/pattern';
import type { CostUnits } from '@/core/units/money';
import { PLANNING, PLANNING_SAID, RESERVED_FOR_OTHERS } from './fragments';
import { big, bool, instant, int, json, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

export const BATCH_COLUMNS = `b.batch_id AS id, b.number, b.name, b.due_on::text AS "dueOn", b.notes, b.state, ${PLANNING} AS planning, ${PLANNING_SAID} AS said,
  b.version, COALESCE(b.planning_beat < clock_timestamp() - INTERVAL '1 millisecond' * 60000, false) AS stalled`;

export const BATCH_GIVES = {
  id: uuid<'batch'>(),
  number: int(),
  name: text(),
  dueOn: maybe(text<Day>()),
  notes: text(),
  state: text<BatchState>(),
  planning: text<Planning>(),
  said: text(),
  version: int(),
  stalled: bool(),
} as const;

/** A batch of a number. */
export const batchOfNumberSql = statement({
  takes: { number: int() },
  gives: BATCH_GIVES,
  text: `SELECT ${BATCH_COLUMNS} FROM batches b WHERE b.studio_id = $studio AND b.number = $number`,
});

/** The lines of some batches without what their bodies were composed of, which is most of them and read by nobody who reckons. */
export const linesOfBatchesInBriefSql = statement({
  takes: { batchIds: many(uuid<'batch'>()) },
  gives: {
    batchId: uuid<'batch'>(),
    line: int(),
    count: int(),
    body: json<Pick<PatternBody, 'name' | 'cuts' | 'parts' | 'steps'>>(),
  },
  text: `SELECT batch_id AS "batchId", line, count, body - 'composition' AS body FROM batch_lines
      WHERE studio_id = $studio AND batch_id = ANY ($batchIds) ORDER BY batch_id, line`,
});

/** The stones of a batch whose pieces are not made yet, locked, with whether each is free for it. */
export const stonesOfBatchSql = statement({
  takes: { batchId: uuid<'batch'>() },
  gives: { id: uuid<'stock piece'>(), number: int(), isFree: bool() },
  text: `SELECT p.stock_piece_id AS id, p.number,
                p.quantity > ${RESERVED_FOR_OTHERS} AS "isFree"
           FROM batch_lines l JOIN stock_pieces p ON p.studio_id = l.studio_id AND p.stock_piece_id = l.stone_id
          WHERE l.studio_id = $studio AND l.batch_id = $batchId
            AND NOT EXISTS (SELECT FROM batch_pieces m WHERE m.studio_id = $studio AND m.batch_id = $batchId AND m.line = l.line)
          ORDER BY p.stock_piece_id FOR UPDATE OF p`,
});

/** The lines of a batch of which wires are cut already, with how many and for how many pieces. */
export const linesBegunSql = statement({
  takes: { batchId: uuid<'batch'>() },
  gives: {
    line: int(),
    patternId: uuid<'pattern'>(),
    revision: int(),
    patternNumber: int(),
    wanted: json<WantedLine>(),
    body: json<PatternBody>(),
    stoneId: maybe(uuid<'stock piece'>()),
    cuts: int(),
    /** The pieces that wires are cut for: the first so many. */
    pieces: int(),
    /** Whether a piece of it is made: its stone is in the piece. */
    isMade: bool(),
  },
  text: `SELECT l.line, l.pattern_id AS "patternId", l.revision, p.number AS "patternNumber", l.wanted, l.body, l.stone_id AS "stoneId", c.cuts, c.pieces,
            EXISTS (SELECT FROM batch_pieces m WHERE m.studio_id = $studio AND m.batch_id = $batchId AND m.line = l.line) AS "isMade"
       FROM batch_lines l JOIN (SELECT line, count(*)::int AS cuts, max(piece) + 1 AS pieces FROM batch_cuts
                                 WHERE studio_id = $studio AND batch_id = $batchId AND kind = 'cut' GROUP BY line) c USING (line)
       JOIN patterns p ON p.studio_id = l.studio_id AND p.pattern_id = l.pattern_id
      WHERE l.studio_id = $studio AND l.batch_id = $batchId ORDER BY l.line`,
});

/** Locks a batch so that what is done for it is done one after the other. */
export const lockedBatchSql = statement({
  takes: { number: int() },
  gives: {
    id: uuid<'batch'>(),
    number: int(),
    name: text(),
    planning: text<Planning>(),
    state: text(),
    version: int(),
  },
  text: `SELECT b.batch_id AS id, b.number, b.name, ${PLANNING} AS planning, b.state, b.version FROM batches b WHERE b.studio_id = $studio AND b.number = $number FOR UPDATE`,
});

/** Writes down what was done at the table, in its order. */
export const addActsSql = statement({
  takes: {
    batchId: uuid<'batch'>(),
    postKey: uuid<'post'>(),
    userId: uuid<'user'>(),
    doneAt: instant(),
    acts: json<readonly object[]>(),
  },
  gives: {},
  text: `INSERT INTO batch_cuts (studio_id, batch_id, act, kind, spec_id, line, piece, cut_index, copy, name, planned_um, source_id, cut_id,
                             length_um, reason, post_key, user_id, done_at)
     SELECT $studio, $batchId, (SELECT COALESCE(max(act), 0) FROM batch_cuts WHERE studio_id = $studio AND batch_id = $batchId) + r.at, r.kind, r."specId", r.line,
            r.piece, r."cutIndex", r.copy, COALESCE(r.name, ''), r.planned, r."sourceId", r."cutId", r.length, r.reason, $postKey, $userId, $doneAt
       FROM jsonb_to_recordset($acts::jsonb) AS r(at int, kind text, "specId" uuid, line int, piece int, "cutIndex" int, copy int, name text,
              planned bigint, "sourceId" uuid, "cutId" uuid, length bigint, reason text)`,
});

/** Forgets the cuts of a batch whose wire is not whole and free any more: they count as not cut. */
export const forgetLostCutsSql = statement({
  takes: { batchId: uuid<'batch'>() },
  gives: { act: int() },
  text: `DELETE FROM batch_cuts c WHERE c.studio_id = $studio AND c.batch_id = $batchId AND c.kind = 'cut'
        AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = $studio AND b.batch_id = $batchId AND b.line = c.line AND b.piece = c.piece)
        AND NOT EXISTS (SELECT FROM stock_pieces p WHERE p.studio_id = $studio AND p.stock_piece_id = c.cut_id AND p.quantity >= c.length_um
                           AND p.article_id = c.spec_id
                           AND NOT EXISTS (SELECT FROM reservations s WHERE s.studio_id = $studio AND s.stock_piece_id = c.cut_id AND s.batch_id <> $batchId))
     RETURNING act`,
});

/** The wires of which a piece of a batch lies cut in the tray. */
export const specsPlannedAgainSql = statement({
  takes: { batchId: uuid<'batch'>(), line: int(), piece: int() },
  gives: { specId: uuid<'article'>() },
  text: `SELECT DISTINCT p.article_id AS "specId" FROM batch_cuts c
       JOIN reservations s ON s.studio_id = c.studio_id AND s.batch_id = c.batch_id AND s.stock_piece_id = c.cut_id
       JOIN stock_pieces p ON p.studio_id = c.studio_id AND p.stock_piece_id = c.cut_id
      WHERE c.studio_id = $studio AND c.batch_id = $batchId AND c.line = $line AND c.piece = $piece AND c.kind = 'cut'`,
});

const MARK = `b.state || ' ' || ${PLANNING} || ' ' || b.version || ' ' || COALESCE((SELECT post_key::text FROM batch_cuts c
  WHERE c.studio_id = b.studio_id AND c.batch_id = b.batch_id ORDER BY act DESC LIMIT 1), '')`;

/** A mark that changes with whatever is done at the cutting table of a batch, by its number. */
export const markOfNumberSql = statement({
  takes: { number: int() },
  gives: { mark: text() },
  text: `SELECT ${MARK} AS mark FROM batches b WHERE b.studio_id = $studio AND b.number = $number`,
});

/** The same, by its id. */
export const markOfBatchSql = statement({
  takes: { batchId: uuid<'batch'>() },
  gives: { mark: text() },
  text: `SELECT ${MARK} AS mark FROM batches b WHERE b.studio_id = $studio AND b.batch_id = $batchId`,
});

/** Open batches of which wires are cut, by the day they are due. */
export const batchesBegunSql = statement({
  takes: {},
  gives: { id: uuid<'batch'>(), number: int(), name: text() },
  text: `SELECT b.batch_id AS id, b.number, b.name FROM batches b WHERE b.studio_id = $studio AND b.state = 'open'
          AND EXISTS (SELECT FROM batch_cuts c WHERE c.studio_id = $studio AND c.batch_id = b.batch_id AND c.kind = 'cut')
        ORDER BY b.due_on NULLS LAST, b.number LIMIT 20`,
});

/** The lines of some batches as far as their work goes: a small part of what is kept of them. */
export const workOfBatchesSql = statement({
  takes: { batchIds: many(uuid<'batch'>()) },
  gives: {
    batchId: uuid<'batch'>(),
    pattern: int(),
    line: int(),
    count: int(),
    /** How many of it are made already. */
    made: int(),
    body: json<Pick<PatternBody, 'name' | 'steps'>>(),
  },
  text: `SELECT l.batch_id AS "batchId", p.number AS pattern, l.line, l.count,
         (SELECT count(*) FROM batch_pieces m WHERE m.studio_id = $studio AND m.batch_id = l.batch_id AND m.line = l.line)::int AS made,
         jsonb_build_object('name', l.body -> 'name', 'steps', l.body -> 'steps') AS body
       FROM batch_lines l JOIN patterns p ON p.studio_id = l.studio_id AND p.pattern_id = l.pattern_id
      WHERE l.studio_id = $studio AND l.batch_id = ANY ($batchIds) ORDER BY l.batch_id, l.line`,
});

/**
 * For each wire of a piece of a batch: its length, and what was scrapped and spoiled of its spec at the cutting table and is borne by no piece yet, with the
 * length of the wires that have to bear it.
 */
export const wastesOfPieceSql = statement({
  takes: { batchId: uuid<'batch'>(), line: int(), piece: int() },
  gives: {
    act: int(),
    specId: uuid<'article'>(),
    length: big(),
    openLength: big(),
    openScrap: big<CostUnits>(),
    openSpoilage: big<CostUnits>(),
  },
  text: `SELECT c.act, c.spec_id AS "specId", c.length_um AS length, o.length AS "openLength", w.scrap - o.scrap AS "openScrap",
            w.spoilage - o.spoilage AS "openSpoilage"
       FROM batch_cuts c
       CROSS JOIN LATERAL (
         SELECT COALESCE(sum(e.length_um) FILTER (WHERE b.piece_id IS NULL), 0)::bigint AS length,
                COALESCE(sum(e.scrap_share), 0)::bigint AS scrap, COALESCE(sum(e.spoilage_share), 0)::bigint AS spoilage
           FROM batch_cuts e LEFT JOIN batch_pieces b ON b.studio_id = e.studio_id AND b.batch_id = e.batch_id AND b.line = e.line AND b.piece = e.piece
          WHERE e.studio_id = $studio AND e.batch_id = $batchId AND e.kind = 'cut' AND e.spec_id = c.spec_id) AS o
       CROSS JOIN LATERAL (
         SELECT COALESCE(-sum(m.cost_units) FILTER (WHERE m.kind = 'scrapped'), 0)::bigint AS scrap,
                COALESCE(-sum(m.cost_units) FILTER (WHERE m.kind = 'spoiled'), 0)::bigint AS spoilage
           FROM movements m WHERE m.studio_id = $studio AND m.batch_id = $batchId AND m.piece_id IS NULL AND m.article_id = c.spec_id) AS w
      WHERE c.studio_id = $studio AND c.batch_id = $batchId AND c.line = $line AND c.piece = $piece ORDER BY c.act`,
});

/** Keeps what of the waste each cut bears. */
export const bearWasteSql = statement({
  takes: { acts: many(int()), scraps: many(big()), spoilages: many(big()), batchId: uuid<'batch'>() },
  gives: {},
  text: `UPDATE batch_cuts c SET scrap_share = v.scrap, spoilage_share = v.spoilage FROM unnest($acts::int[], $scraps::bigint[], $spoilages::bigint[]) AS v(act, scrap, spoilage)
      WHERE c.studio_id = $studio AND c.batch_id = $batchId AND c.act = v.act`,
});
