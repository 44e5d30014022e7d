import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { tag } from '@/core/tag';
import { minor } from '@/core/units/money';
import { inStudio, type Tx } from '@/data/inStudio';
import { Lot } from '@/data/models/purchases';
import type { NewIn } from '@/data/table';
import { Post } from '@/data/models/studio';
import { StockPiece } from '@/data/models/stock';
import { log } from '../kernel/log';
import { Refused } from '../kernel/outcome';
import { look, todayOf, type StudioSession } from '../kernel/useCase';
import { Posting } from '../ledger/posting';
import { settingsIn } from '../settings/settings';
import { reserveByHand } from '../reservations/reservations';
import { ensurePlace, ensureSpoolType } from '../stock/places';
import { ensureSupplier } from '../stock/takeIn';
import { answersKept } from './answersKept';
import { columnWays } from './columnWays';
import { csvRows } from './csv';
import { BROKEN, importOf, note, type BadRow, type ImportRow } from './importFile';
import type { FileAsked } from './jobs';
import { listOf } from './lists';
import { Questions, type Question } from './questions';
import { RowReader, type Reading } from './rowReader';
import { tableIn } from './table';
import type { StockList, StockRow } from './stockList';

/** Rows that are read before the progress is written. */
const CHUNK = 500;
/** Bad rows that are kept to be shown; all of them are counted. */
const SHOWN = 200;

/** The dry run: reads every row and says what is wrong with it. Nothing is posted. */
export async function checkImport({ session, id }: FileAsked): Promise<void> {
  await working(session, id, async (file, list) => {
    const read = await readRows(session, file, list, (done) => note(session, id, { done }));
    if (!read) return;
    await note(session, id, {
      state: 'checked',
      done: read.good.length + read.badCount,
      good: read.good.length,
      bad: read.bad,
      questions: read.questions,
      message: '',
    });
  });
}

/** Thrown to undo a posting that was cancelled. */
class Cancelled extends Error {}

/** Posts the good rows of a checked file, in one transaction. */
export async function postImport({ session, id }: FileAsked): Promise<void> {
  await working(session, id, async (file, list) => {
    const read = await readRows(session, file, list, () => note(session, id, {}));
    if (!read) return;
    try {
      await inStudio(session, async (tx) => {
        await open(tx, id, list, read.good, async (done) => {
          if (!(await note(session, id, { done }))) throw new Cancelled();
        });
        // In the same transaction, so that a posting is told exactly when it is; the file's own row is not touched in it,
        // since its progress is written beside it.
        const { userId, now } = session;
        await tx.add(Post, [
          {
            postKey: keyOf(id),
            useCase: 'postImport',
            userId,
            postedAt: now,
            outcome: { value: read.good.length },
          },
        ]);
      });
    } catch (fault) {
      if (!(fault instanceof Cancelled)) throw fault;
      return;
    }
    await note(session, id, { state: 'posted', done: read.good.length });
  });
}

/** A file is posted under its own id: it is posted once, whoever asks. */
const keyOf = (file: string): Id<'post'> => file;

/** Brings rows into stock: each is opened with what it holds and carries. */
async function open(
  tx: Tx,
  id: Id<'import'>,
  list: StockList,
  rows: readonly ReadRow[],
  onChunk: (done: number) => Promise<void>,
): Promise<void> {
  const { currency } = await settingsIn(tx);
  const posting = new Posting(tx, keyOf(id));
  const places = remembered((name: string) => ensurePlace(tx, name));
  const suppliers = remembered((name: string) => ensureSupplier(tx, name));
  const articles = new Map<string, { articleId: Id<'article'>; sortKey: string }>();
  const today = todayOf(tx.session);
  const reserved: { readonly id: Id<'stock piece'>; readonly note: string }[] = [];
  const lots: NewIn<typeof Lot>[] = [];
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
    const stockId = posting.open(
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
    if (row.setAside) reserved.push({ id: stockId, note: row.setAside });
    if (index % CHUNK === CHUNK - 1) await onChunk(index + 1);
  }
  await tx.add(Lot, lots);
  await posting.commit();
  await reserveByHand(tx, reserved);
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
/** Runs work on a file and writes down when it breaks; nothing here may end the process. */
async function working(
  session: StudioSession,
  id: Id<'import'>,
  work: (row: ImportRow, list: StockList) => Promise<void>,
): Promise<void> {
  try {
    const row = await look(session, (tx) => importOf(tx, id));
    const list = row && listOf(row.list);
    if (row && list) await work(row, list);
  } catch (fault) {
    const refusal = fault instanceof Refused;
    if (!refusal) log.error({ err: fault }, 'an import broke');
    const message = refusal ? fault.message : BROKEN;
    await note(session, id, { state: 'failed', message }).catch(() => undefined);
  }
}

interface ReadRow {
  readonly line: number;
  readonly row: StockRow;
}

/**
 * Reads every row of a file, telling how far it is. @returns undefined when it was cancelled
 */
async function readRows(
  session: StudioSession,
  { content, mapping, answers, mends }: ImportRow,
  list: StockList,
  onChunk: (done: number) => Promise<boolean>,
): Promise<{ good: ReadRow[]; bad: BadRow[]; badCount: number; questions: Question[] } | undefined> {
  const {
    currency,
    tags,
    jars,
    remembered: before,
  } = await look(session, async (tx) => ({
    currency: (await settingsIn(tx)).currency,
    remembered: await answersKept(tx, list),
    tags: await takenNumbers(tx, list),
    jars: list.ware === 'scrap' ? await jarKeys(tx) : new Set<string>(),
  }));
  const { header, rows } = tableIn(csvRows(content), list);
  const questions = new Questions();
  const reading: Reading = {
    titles: new Map(list.columns.map(({ key, title }) => [key, title])),
    currency,
    ways: columnWays(header, rows, mapping, { ...before, ...answers }),
    questions,
  };
  const seen = new Map<number, number>();
  const good: ReadRow[] = [];
  const bad: BadRow[] = [];
  let badCount = 0;
  for (const [index, { line, cells }] of rows.entries()) {
    const mended = mends[String(line)] ?? {};
    const byKey = new Map(
      list.columns.map(({ key }) => [key, mended[key] ?? cells[mapping[key] ?? -1] ?? '']),
    );
    const reader = new RowReader(byKey, reading);
    const row = list.read(reader);
    const { number } = row;
    if (number !== undefined) {
      const earlier = seen.get(number);
      if (tags.has(number)) reader.say('tag', `${tag(list.ware, number)} is here already.`);
      else if (earlier !== undefined)
        reader.say('tag', `${tag(list.ware, number)} stands in line ${earlier} too.`);
      else seen.set(number, line);
    }
    if (list.ware === 'scrap') {
      if (jars.has(row.articleKey)) reader.say('metal', 'there is a jar of it already.');
      jars.add(row.articleKey);
    }
    if (reader.problems.length === 0) good.push({ line, row });
    else {
      badCount += 1;
      if (bad.length < SHOWN)
        bad.push({
          line,
          why: reader.problems.slice(0, 4),
          cells: cells.slice(0, 12),
          wrong: reader.wrong.slice(0, 4),
        });
    }
    if (index % CHUNK === CHUNK - 1) {
      if (!(await onChunk(index + 1))) return undefined;
    }
  }
  return { good, bad, badCount, questions: questions.all() };
}

async function takenNumbers(tx: Tx, list: StockList): Promise<Set<number>> {
  const rows = await tx.all(StockPiece, ['number'], { where: { ware: list.ware } });
  return new Set(rows.map(({ number }) => number));
}

/** Metals that have a jar, as the list calls them. */
async function jarKeys(tx: Tx): Promise<Set<string>> {
  const rows = await tx.allWith(StockPiece, [], { article: ['name'] }, { where: { ware: 'scrap' } });
  return new Set(rows.map(({ article: { name } }) => name.replace(/ scrap$/, '').replace(' ', '-')));
}
