import { isUUID } from 'class-validator';
import { inStudio, type Tx } from '@/data/inStudio';
import type { StudioSession } from '../kernel/useCase';
import type { StockList } from './stockList';

/** Which column of the file each column of the list is read from; −1 for none. */
export type Mapping = Readonly<Record<string, number>>;

/** A row that cannot be brought in, and why. */
export interface BadRow {
  /** Line of the file, counting its header as 1. */
  readonly line: number;
  readonly why: readonly string[];
  readonly cells: readonly string[];
}

export type ImportState = 'checking' | 'checked' | 'posting' | 'posted' | 'cancelled' | 'failed';

/** A file on its way in. */
export interface ImportView {
  readonly id: string;
  readonly list: string;
  readonly fileName: string;
  readonly state: ImportState;
  readonly done: number;
  readonly total: number;
  readonly good: number;
  readonly bad: readonly BadRow[];
  readonly message: string;
  readonly mapping: Mapping;
  readonly header: readonly string[];
  /** Nobody is working on it any more though it is not finished: the copy that was has been stopped. */
  readonly isStalled: boolean;
}

/** What a file says when the fault is ours. */
export const BROKEN = 'Something broke on our side and nothing was posted. Try it once more.';

const STALLED_MS = 60_000;

/** Guesses which column of a file is which: by its title, else by another word for it. */
export function guessMapping(list: StockList, header: readonly string[]): Mapping {
  const titles = header.map((title) => title.toLowerCase().trim());
  const taken = new Set<number>();
  const find = (names: readonly string[]): number => {
    const at = titles.findIndex((title, index) => !taken.has(index) && names.includes(title));
    if (at >= 0) taken.add(at);
    return at;
  };
  const exact = Object.fromEntries(list.columns.map(({ key, title }) => [key, find([title.toLowerCase()])]));
  return Object.fromEntries(
    list.columns.map(({ key, also = [] }) => [
      key,
      (exact[key] ?? -1) >= 0 ? (exact[key] ?? -1) : find([key.toLowerCase(), ...also]),
    ]),
  );
}

/** A file as it is kept. */
export interface ImportRow {
  readonly list: string;
  readonly fileName: string;
  readonly content: string;
  readonly mapping: Mapping;
  readonly state: ImportState;
  readonly done: number;
  readonly total: number;
  readonly good: number;
  readonly bad: readonly BadRow[];
  readonly message: string;
  readonly stalled: boolean;
}

/** Finds a file by its id. */
export const importOf = async (tx: Tx, id: string): Promise<ImportRow | undefined> =>
  isUUID(id)
    ? tx.first<ImportRow>(
        `SELECT list, file_name AS "fileName", content, mapping, total, good, bad, message,
                beat_at < clock_timestamp() - INTERVAL '1 millisecond' * ${STALLED_MS} AS stalled,
                COALESCE((SELECT (p.outcome ->> 'value')::int FROM posts p WHERE p.studio_id = $1 AND p.post_key = import_id), done) AS done,
                CASE WHEN EXISTS (SELECT FROM posts p WHERE p.studio_id = $1 AND p.post_key = import_id) THEN 'posted' ELSE state END AS state
           FROM imports WHERE studio_id = $1 AND import_id = $2`,
        [tx.session.studioId, id],
      )
    : undefined;

/** Writes how far it is. @returns false when it was cancelled meanwhile */
export async function note(
  session: StudioSession,
  id: string,
  change: { state?: ImportState; done?: number; good?: number; bad?: readonly BadRow[]; message?: string },
): Promise<boolean> {
  return inStudio(session, async (tx) => {
    const row = await tx.first<{ state: ImportState }>(
      `UPDATE imports SET state = CASE WHEN state = 'cancelled' THEN state ELSE COALESCE($3, state) END, done = COALESCE($4, done),
              good = COALESCE($5, good), bad = COALESCE($6::jsonb, bad), message = COALESCE($7, message), beat_at = now()
        WHERE studio_id = $1 AND import_id = $2 RETURNING state`,
      [
        session.studioId,
        id,
        change.state ?? null,
        change.done ?? null,
        change.good ?? null,
        change.bad ? JSON.stringify(change.bad) : null,
        change.message ?? null,
      ],
    );
    return row?.state !== 'cancelled';
  });
}
