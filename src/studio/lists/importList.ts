import { randomUUID } from 'node:crypto';
import { isUUID } from 'class-validator';
import { tag } from '@/core/tag';
import { minor } from '@/core/units/money';
import { inStudio, type Tx } from '@/data/inStudio';
import { Lot } from '@/data/models/stock';
import { Post } from '@/data/models/studio';
import { Refused, refused, type Outcome } from '../kernel/outcome';
import { attempt, look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { Posting } from '../ledger/posting';
import { settingsIn } from '../settings/settings';
import { ensurePlace, ensureSpoolType } from '../stock/places';
import { ensureSupplier } from '../stock/takeIn';
import { readCsv, type Sheet } from './csv';
import { listOf } from './lists';
import { RowReader } from './rowReader';
import type { StockList, StockRow } from './stockList';

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

const MOST_BYTES = 10_000_000;
const MOST_ROWS = 50_000;
/** Rows that are read before others get a turn and the progress is written. */
const CHUNK = 500;
/** Bad rows that are kept to be shown; all of them are counted. */
const SHOWN = 200;
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
    void runCheck(session, id);
    return { id };
  });
}

interface ImportRow {
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

const importOf = async (tx: Tx, id: string): Promise<ImportRow | undefined> =>
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

/** Writes how far it is. @returns false when it was cancelled meanwhile */
async function note(
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

/** Lets requests have a turn. */
const breathe = () => new Promise((resolve) => setImmediate(resolve));

interface ReadRow {
  readonly line: number;
  readonly row: StockRow;
}

/**
 * Reads every row of a file, telling how far it is. @returns undefined when it was cancelled
 */
async function readRows(
  session: StudioSession,
  sheet: Sheet,
  list: StockList,
  mapping: Mapping,
  onChunk: (done: number) => Promise<boolean>,
): Promise<{ good: ReadRow[]; bad: BadRow[]; badCount: number } | undefined> {
  const { currency, tags, jars } = await look(session, async (tx) => ({
    currency: (await settingsIn(tx)).currency,
    tags: await takenNumbers(tx, list),
    jars: list.ware === 'scrap' ? await jarKeys(tx) : new Set<string>(),
  }));
  const titles = new Map(list.columns.map(({ key, title }) => [key, title]));
  const seen = new Map<number, number>();
  const good: ReadRow[] = [];
  const bad: BadRow[] = [];
  let badCount = 0;
  for (const [index, cells] of sheet.rows.entries()) {
    const line = index + 2;
    const byKey = new Map(list.columns.map(({ key }) => [key, cells[mapping[key] ?? -1] ?? '']));
    const reader = new RowReader(byKey, titles, currency);
    const row = list.read(reader);
    const { number } = row;
    if (number !== undefined) {
      const before = seen.get(number);
      if (tags.has(number)) reader.say('tag', `${tag(list.ware, number)} is here already.`);
      else if (before !== undefined)
        reader.say('tag', `${tag(list.ware, number)} stands in line ${before} too.`);
      else seen.set(number, line);
    }
    if (list.ware === 'scrap') {
      if (jars.has(row.articleKey)) reader.say('metal', 'there is a jar of it already.');
      jars.add(row.articleKey);
    }
    if (reader.problems.length === 0) good.push({ line, row });
    else {
      badCount += 1;
      if (bad.length < SHOWN) bad.push({ line, why: reader.problems.slice(0, 4), cells: cells.slice(0, 12) });
    }
    if (index % CHUNK === CHUNK - 1) {
      await breathe();
      if (!(await onChunk(index + 1))) return undefined;
    }
  }
  return { good, bad, badCount };
}

async function takenNumbers(tx: Tx, list: StockList): Promise<Set<number>> {
  const rows = await tx.select<{ number: number }>(
    'SELECT number FROM stock_pieces WHERE studio_id = $1 AND ware = $2',
    [tx.session.studioId, list.ware],
  );
  return new Set(rows.map(({ number }) => number));
}

/** Metals that have a jar, as the list calls them. */
async function jarKeys(tx: Tx): Promise<Set<string>> {
  const rows = await tx.select<{ name: string }>(
    `SELECT a.name FROM stock_pieces p JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
      WHERE p.studio_id = $1 AND p.ware = 'scrap'`,
    [tx.session.studioId],
  );
  return new Set(rows.map(({ name }) => name.replace(/ scrap$/, '').replace(' ', '-')));
}

/** The dry run: reads every row and says what is wrong with it. Nothing is posted. */
async function runCheck(session: StudioSession, id: string): Promise<void> {
  await working(session, id, async ({ content, mapping }, list) => {
    const read = await readRows(session, readCsv(content), list, mapping, (done) =>
      note(session, id, { done }),
    );
    if (!read) return;
    await note(session, id, {
      state: 'checked',
      done: read.good.length + read.badCount,
      good: read.good.length,
      bad: read.bad,
      message: '',
    });
  });
}

/** Runs work on a file and writes down when it breaks; nothing here may end the process. */
async function working(
  session: StudioSession,
  id: string,
  work: (row: ImportRow, list: StockList) => Promise<void>,
): Promise<void> {
  try {
    const row = await look(session, (tx) => importOf(tx, id));
    const list = row && listOf(row.list);
    if (row && list) await work(row, list);
  } catch (fault) {
    const message =
      fault instanceof Refused
        ? fault.message
        : 'Something broke on our side and nothing was posted. Try it once more.';
    await note(session, id, { state: 'failed', message }).catch(() => undefined);
  }
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
    void runCheck(session, id);
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
    void runPosting(session, id);
    return null;
  });
}

/** Thrown to undo a posting that was cancelled. */
class Cancelled extends Error {}

async function runPosting(session: StudioSession, id: string): Promise<void> {
  await working(session, id, async ({ content, mapping }, list) => {
    const read = await readRows(session, readCsv(content), list, mapping, () => note(session, id, {}));
    if (!read) return;
    try {
      await inStudio(session, async (tx) => {
        await open(tx, id, list, read.good, async (done) => {
          await breathe();
          if (!(await note(session, id, { done }))) throw new Cancelled();
        });
        // In the same transaction, so that a posting is told exactly when it is; the file's own row is not touched in it,
        // since its progress is written beside it.
        const { userId, now } = session;
        await tx.add(Post, [
          { postKey: id, useCase: 'postImport', userId, postedAt: now, outcome: { value: read.good.length } },
        ]);
      });
    } catch (fault) {
      if (!(fault instanceof Cancelled)) throw fault;
      return;
    }
    await note(session, id, { state: 'posted', done: read.good.length });
  });
}

/** Brings rows into stock: each is opened with what it holds and carries. */
async function open(
  tx: Tx,
  id: string,
  list: StockList,
  rows: readonly ReadRow[],
  onChunk: (done: number) => Promise<void>,
): Promise<void> {
  const { currency } = await settingsIn(tx);
  const posting = new Posting(tx, id);
  const places = remembered((name: string) => ensurePlace(tx, name));
  const suppliers = remembered((name: string) => ensureSupplier(tx, name));
  const articles = new Map<string, { articleId: string; sortKey: string }>();
  const today = tx.session.now.toISOString().slice(0, 10);
  const lots: Parameters<typeof tx.add<Lot>>[1][number][] = [];
  for (const [index, { row }] of rows.entries()) {
    const { articleKey, purchase, spoolType = '', emptyMass = null } = row;
    const article = (articleKey === '' ? undefined : articles.get(articleKey)) ?? (await row.article(tx));
    if (articleKey !== '') articles.set(articleKey, article);
    const lotId = purchase ? randomUUID() : null;
    if (purchase && lotId) {
      lots.push({
        lotId,
        articleId: article.articleId,
        supplierId: await suppliers(purchase.supplier),
        boughtOn: purchase.boughtOn ?? today,
        gaugeSystem: row.label?.system ?? null,
        gaugeNumber: row.label?.number ?? null,
        quantity: purchase.quantity,
        massUg: null,
        price: purchase.price ?? minor(0),
        paid: purchase.price ?? minor(0),
        paidCurrency: currency,
        note: purchase.note,
        createdAt: tx.session.now,
      });
    }
    posting.open(
      {
        ware: list.ware,
        ...article,
        lotId,
        form: row.form,
        placeId: await places(row.place),
        note: row.note,
        emptyMassUg: emptyMass,
        spoolTypeId:
          spoolType !== '' && emptyMass !== null ? await ensureSpoolType(tx, spoolType, emptyMass) : null,
        ...(row.number === undefined ? {} : { number: row.number }),
        ...(row.shades ? { shades: row.shades } : {}),
      },
      'opened',
      row.quantity,
      row.cost,
      { lotId, reason: 'brought in from a file' },
    );
    if (index % CHUNK === CHUNK - 1) await onChunk(index + 1);
  }
  await tx.add(Lot, lots);
  await posting.commit();
}

/** Asks once for each name. */
function remembered(ask: (name: string) => Promise<string | null>): (name: string) => Promise<string | null> {
  const known = new Map<string, string | null>();
  return async (name) => {
    const key = name.trim().toLowerCase();
    const found = known.get(key);
    if (found !== undefined) return found;
    const answer = await ask(name);
    known.set(key, answer);
    return answer;
  };
}
