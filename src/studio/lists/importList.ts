import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { otherThan, rightNow } from '@/data/conditions';
import { inStudio, type Tx } from '@/data/inStudio';
import { Import } from '@/data/models/lists';
import type { Job } from '../jobs/job';
import { runJob } from '../jobs/runJob';
import { log } from '../kernel/log';
import { invalid, Refused, refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { attempt, look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { keepAnswers } from './answersKept';
import { csvRows } from './csv';
import {
  BROKEN,
  guessMapping,
  importOf,
  note,
  type ImportRow,
  type ImportView,
  type Mapping,
} from './importFile';
import { AnswerImportInput, MendImportInput } from './importList.input';
import { CHECK_IMPORT, POST_IMPORT, type FileAsked } from './jobs';
import { listOf } from './lists';
import { fileAsCsv } from './sheetFile';
import type { StockList } from './stockList';
import { tableIn } from './table';

const MOST_BYTES = 10_000_000;
const MOST_ROWS = 50_000;

/**
 * Takes in a file and begins to check it, off the request.
 * @param file CSV text, or the bytes of a spreadsheet or CSV file in base64
 * @returns the id to watch it by
 */
export function openImport(
  session: StudioSession,
  listId: string,
  fileName: string,
  file: string | { readonly base64: string },
): Promise<Outcome<{ readonly id: Id<'import'> }>> {
  return attempt(async () => {
    ownerOnly(session);
    const list = listOf(listId);
    if (!list) throw refused('There is no such list.');
    const bytes = typeof file === 'string' ? file.length : file.base64.length * 0.75;
    if (bytes > MOST_BYTES)
      throw refused(`This file is ${(bytes / 1e6).toFixed(1)} MB; ${MOST_BYTES / 1e6} MB are allowed.`);
    const content = typeof file === 'string' ? file : fileAsCsv(Buffer.from(file.base64, 'base64'));
    const { header, rows, passedOver } = tableIn(csvRows(content), list);
    if (header.length < 2 || rows.length === 0)
      throw refused(
        'There is nothing to read in this file: one line names the columns, those below it hold a row each.',
      );
    if (rows.length > MOST_ROWS)
      throw refused(
        `This file has ${rows.length.toLocaleString('en-US')} rows; ${MOST_ROWS.toLocaleString('en-US')} are allowed.`,
      );
    const id = randomUUID();
    await inStudio(session, (tx) =>
      tx.add(Import, [
        {
          importId: id,
          list: list.id,
          fileName: fileName.slice(0, 240),
          content,
          mapping: guessMapping(list, header, rows),
          state: 'checking',
          total: rows.length,
          userId: session.userId,
          passedOver: passedOver.length,
          madeAt: session.now,
          beatAt: new Date(),
        },
      ]),
    );
    begin(CHECK_IMPORT, session, id);
    return { id };
  });
}

/** How far a file is, and what was found in it; null when there is none. */
export function showImport(session: StudioSession, id: Id<'import'>): Promise<ImportView | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const row = await importOf(tx, id);
    if (!row) return null;
    const { content, stalled, ...view } = row;
    const list = listOf(row.list);
    const busy = view.state === 'checking' || view.state === 'posting';
    const header = list ? tableIn(csvRows(content.slice(0, 20_000)), list).header : [];
    return { ...view, id, header, isStalled: busy && stalled };
  });
}

/** Reads the columns another way, and checks again. */
export const mapImport = (
  session: StudioSession,
  id: Id<'import'>,
  mapping: Mapping,
): Promise<Outcome<null>> =>
  readAgain(session, id, ({ answers, mends }, list) => ({
    mapping: Object.fromEntries(list.columns.map(({ key }) => [key, Number(mapping[key] ?? -1)])),
    answers,
    mends,
  }));

/** Answers what was asked about a file, and checks again. What words mean is remembered for the files that come. */
export const answerImport = (
  session: StudioSession,
  id: Id<'import'>,
  plain: unknown,
): Promise<Outcome<null>> =>
  readAgain(session, id, async ({ mapping, answers, mends }, list, tx) => {
    const { answers: given } = await readInput(AnswerImportInput, plain);
    const told = Object.fromEntries(given.map(({ question, answer }) => [question, answer]));
    await keepAnswers(tx, list.id, told);
    return { mapping, answers: { ...answers, ...told }, mends };
  });

/** Mends cells of rows in place, and checks again; the file itself stays as it is. */
export const mendImport = (
  session: StudioSession,
  id: Id<'import'>,
  plain: unknown,
): Promise<Outcome<null>> =>
  readAgain(session, id, async ({ mapping, answers, mends }, list) => {
    const { cells } = await readInput(MendImportInput, plain);
    const next: Record<string, Record<string, string>> = Object.fromEntries(
      Object.entries(mends).map(([line, own]) => [line, { ...own }]),
    );
    for (const [index, { line, column, text }] of cells.entries()) {
      if (!list.columns.some(({ key }) => key === column))
        throw invalid(`cells.${index}.column`, `There is no column “${column}” in this list.`);
      next[line] = { ...next[line], [column]: text };
    }
    return { mapping, answers, mends: next };
  });

/** Changes how a file that is not posted yet is read, and checks it again. */
function readAgain(
  session: StudioSession,
  id: Id<'import'>,
  change: (
    row: ImportRow,
    list: StockList,
    tx: Tx,
  ) =>
    | Pick<ImportRow, 'mapping' | 'answers' | 'mends'>
    | Promise<Pick<ImportRow, 'mapping' | 'answers' | 'mends'>>,
): Promise<Outcome<null>> {
  return attempt(async () => {
    ownerOnly(session);
    await inStudio(session, async (tx) => {
      const row = await importOf(tx, id);
      const list = row && listOf(row.list);
      if (!row || !list) throw refused('This file is no longer there.');
      if (row.state === 'posting' || row.state === 'posted') throw refused('This file was posted already.');
      const { mapping, answers, mends } = await change(row, list, tx);
      await tx.change(
        Import,
        { importId: id },
        {
          mapping,
          answers,
          mends,
          state: 'checking',
          done: 0,
          good: 0,
          bad: [],
          questions: [],
          beatAt: rightNow(),
        },
      );
    });
    begin(CHECK_IMPORT, session, id);
    return null;
  });
}

/** Stops a check or a posting; a posting that is stopped has posted nothing. */
export function cancelImport(session: StudioSession, id: Id<'import'>): Promise<Outcome<null>> {
  return attempt(async () => {
    ownerOnly(session);
    await inStudio(session, (tx) =>
      tx.change(
        Import,
        { importId: id, state: otherThan('posted') },
        { state: 'cancelled', beatAt: rightNow() },
      ),
    );
    return null;
  });
}

/** Begins to post a checked file, off the request: all its good rows, or none unless all are good. */
export function postImport(
  session: StudioSession,
  id: Id<'import'>,
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
      await tx.change(Import, { importId: id }, { state: 'posting', done: 0, beatAt: rightNow() });
    });
    begin(POST_IMPORT, session, id);
    return null;
  });
}

/** Checks or posts a file in a thread of its own; when the thread itself breaks, the file says so. */
function begin(job: Job<FileAsked, void>, session: StudioSession, id: Id<'import'>): void {
  runJob(job, { session, id }, session).catch(async (fault: unknown) => {
    const isRefused = fault instanceof Refused;
    if (!isRefused) log.error({ err: fault, job }, 'a thread broke');
    await note(session, id, { state: 'failed', message: isRefused ? fault.message : BROKEN }).catch(
      () => undefined,
    );
  });
}
