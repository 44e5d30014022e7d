import { randomUUID } from 'node:crypto';
import { inStudio } from '@/data/inStudio';
import { aside } from '../aside/aside';
import { log } from '../kernel/log';
import { Refused, refused, type Outcome } from '../kernel/outcome';
import { attempt, look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { readCsv } from './csv';
import { BROKEN, guessMapping, importOf, note, type ImportView, type Mapping } from './importFile';
import { listOf } from './lists';

const MOST_BYTES = 10_000_000;
const MOST_ROWS = 50_000;

/** Takes in a file and begins to check it, off the request. @returns the id to watch it by */
export function openImport(
  session: StudioSession,
  listId: string,
  fileName: string,
  content: string,
): Promise<Outcome<{ readonly id: string }>> {
  return attempt(async () => {
    ownerOnly(session);
    const list = listOf(listId);
    if (!list) throw refused('There is no such list.');
    if (content.length > MOST_BYTES)
      throw refused(
        `This file is ${(content.length / 1e6).toFixed(1)} MB; ${MOST_BYTES / 1e6} MB are allowed.`,
      );
    const { header, rows } = readCsv(content);
    if (header.length < 2 || rows.length === 0)
      throw refused(
        'There is nothing to read in this file: its first line names the columns, the others hold a row each.',
      );
    if (rows.length > MOST_ROWS)
      throw refused(
        `This file has ${rows.length.toLocaleString('en-US')} rows; ${MOST_ROWS.toLocaleString('en-US')} are allowed.`,
      );
    const id = randomUUID();
    await inStudio(session, (tx) =>
      tx.run(
        `INSERT INTO imports (studio_id, import_id, list, file_name, content, mapping, state, total, user_id, made_at, beat_at)
         VALUES ($1, $2, $3, $4, $5, $6, 'checking', $7, $8, now(), now())`,
        [
          session.studioId,
          id,
          list.id,
          fileName.slice(0, 240),
          content,
          JSON.stringify(guessMapping(list, header)),
          rows.length,
          session.userId,
        ],
      ),
    );
    begin('checkImport', session, id);
    return { id };
  });
}

/** How far a file is, and what was found in it; null when there is none. */
export function showImport(session: StudioSession, id: string): Promise<ImportView | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const row = await importOf(tx, id);
    if (!row) return null;
    const { content, stalled, ...view } = row;
    const busy = view.state === 'checking' || view.state === 'posting';
    return { ...view, id, header: readCsv(content.slice(0, 20_000)).header, isStalled: busy && stalled };
  });
}

/** Reads the columns another way, and checks again. */
export function mapImport(session: StudioSession, id: string, mapping: Mapping): Promise<Outcome<null>> {
  return attempt(async () => {
    ownerOnly(session);
    await inStudio(session, async (tx) => {
      const row = await importOf(tx, id);
      const list = row && listOf(row.list);
      if (!row || !list) throw refused('This file is no longer there.');
      if (row.state === 'posting' || row.state === 'posted') throw refused('This file was posted already.');
      const known = Object.fromEntries(list.columns.map(({ key }) => [key, Number(mapping[key] ?? -1)]));
      await tx.run(
        `UPDATE imports SET mapping = $3, state = 'checking', done = 0, good = 0, bad = '[]', beat_at = now()
          WHERE studio_id = $1 AND import_id = $2`,
        [session.studioId, id, JSON.stringify(known)],
      );
    });
    begin('checkImport', session, id);
    return null;
  });
}

/** Stops a check or a posting; a posting that is stopped has posted nothing. */
export function cancelImport(session: StudioSession, id: string): Promise<Outcome<null>> {
  return attempt(async () => {
    ownerOnly(session);
    await inStudio(session, (tx) =>
      tx.run(
        `UPDATE imports SET state = 'cancelled', beat_at = now()
          WHERE studio_id = $1 AND import_id = $2 AND state <> 'posted'`,
        [session.studioId, id],
      ),
    );
    return null;
  });
}

/** Begins to post a checked file, off the request: all its good rows, or none unless all are good. */
export function postImport(
  session: StudioSession,
  id: string,
  how: 'good rows' | 'all or none',
): Promise<Outcome<null>> {
  return attempt(async () => {
    ownerOnly(session);
    await inStudio(session, async (tx) => {
      const row = await importOf(tx, id);
      if (!row) throw refused('This file is no longer there.');
      if (row.state === 'posted') throw refused('This file was posted already. Nothing was posted twice.');
      if (row.state !== 'checked') throw refused('This file is not checked yet.');
      if (row.good === 0) throw refused('No row of this file is good; nothing was posted.');
      if (how === 'all or none' && row.good < row.total)
        throw refused(`${row.total - row.good} rows are not good, so none was posted.`);
      await tx.run(
        `UPDATE imports SET state = 'posting', done = 0, beat_at = now() WHERE studio_id = $1 AND import_id = $2`,
        [session.studioId, id],
      );
    });
    begin('postImport', session, id);
    return null;
  });
}

/** Checks or posts a file in a thread of its own; when the thread itself breaks, the file says so. */
function begin(job: 'checkImport' | 'postImport', session: StudioSession, id: string): void {
  aside(job, { session, id }, session).catch(async (fault: unknown) => {
    const isRefused = fault instanceof Refused;
    if (!isRefused) log.error({ err: fault, job }, 'a thread broke');
    await note(session, id, { state: 'failed', message: isRefused ? fault.message : BROKEN }).catch(
      () => undefined,
    );
  });
}
