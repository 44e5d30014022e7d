import type { BadRow, Question, ImportState } from '@/data/models/lists';
import { bool, float, int, json, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** Finds a file by its id. */
export const importFileSql = statement({
  takes: { stalledMs: float(), importId: uuid<'import'>() },
  gives: {
    list: text(),
    fileName: text(),
    content: text(),
    mapping: json<Readonly<Record<string, number>>>(),
    total: int(),
    good: int(),
    bad: json<readonly BadRow[]>(),
    message: text(),
    answers: json<Readonly<Record<string, string>>>(),
    mends: json<Readonly<Record<string, Readonly<Record<string, string>>>>>(),
    questions: json<readonly Question[]>(),
    passedOver: int(),
    stalled: bool(),
    done: int(),
    state: text<ImportState>(),
  },
  text: `SELECT list, file_name AS "fileName", content, mapping, total, good, bad, message, answers, mends, questions, passed_over AS "passedOver",
                beat_at < clock_timestamp() - INTERVAL '1 millisecond' * $stalledMs AS stalled,
                COALESCE((SELECT (p.outcome ->> 'value')::int FROM posts p WHERE p.studio_id = $studio AND p.post_key = import_id), done) AS done,
                CASE WHEN EXISTS (SELECT FROM posts p WHERE p.studio_id = $studio AND p.post_key = import_id) THEN 'posted' ELSE state END AS state
           FROM imports WHERE studio_id = $studio AND import_id = $importId`,
});

/** Writes how far it is. */
export const noteImportSql = statement({
  takes: {
    state: maybe(text()),
    done: maybe(int()),
    good: maybe(int()),
    bad: maybe(json<readonly BadRow[]>()),
    message: maybe(text()),
    questions: maybe(json<readonly Question[]>()),
    importId: uuid<'import'>(),
  },
  gives: { state: text<ImportState>() },
  text: `UPDATE imports SET state = CASE WHEN state = 'cancelled' THEN state ELSE COALESCE($state, state) END, done = COALESCE($done, done),
              good = COALESCE($good, good), bad = COALESCE($bad::jsonb, bad), message = COALESCE($message, message), questions = COALESCE($questions::jsonb, questions), beat_at = now()
        WHERE studio_id = $studio AND import_id = $importId RETURNING state`,
});
