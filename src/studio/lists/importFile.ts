import type { Id } from '@/core/id';
import { type RowOf } from '@/data/sql/statement';
import type { BadRow, ImportState, Mapping, Mends } from '@/data/models/lists';
import { isUUID } from 'class-validator';
import { inStudio, type Tx } from '@/data/inStudio';
import { noteImportSql, importFileSql } from '@/data/sql/imports';
import type { StudioSession } from '../kernel/useCase';
import type { Question } from './questions';
import type { ListColumn, StockList } from './stockList';
import { readTypedDay } from '@/core/calendar/typedDay';
import { bareTitle, type TableRow } from './table';
import { plainWord } from './vocabulary';

export type { BadRow, ImportState, Mapping, Mends };

/** A file on its way in. */
export interface ImportView {
  readonly id: Id<'import'>;
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
  /** What only the maker knows. */
  readonly questions: readonly Question[];
  /** Lines that are no stock: sums, titles. */
  readonly passedOver: number;
  /** Nobody is working on it any more though it is not finished: the copy that was has been stopped. */
  readonly isStalled: boolean;
}

/** What a file says when the fault is ours. */
export const BROKEN = 'Something broke on our side and nothing was posted. Try it once more.';

const STALLED_MS = 60_000;

/** Guesses which column of a file is which: by its title, else by another word for it. */
export function guessMapping(
  list: StockList,
  header: readonly string[],
  rows: readonly TableRow[] = [],
): Mapping {
  const taken = new Set<number>();
  const found: Record<string, number> = Object.fromEntries(list.columns.map(({ key }) => [key, -1]));
  const pass = (titles: readonly string[], namesOf: (column: ListColumn) => readonly string[]) => {
    for (const column of list.columns) {
      if ((found[column.key] ?? -1) >= 0) continue;
      const names = namesOf(column).map(plainWord);
      const at = titles.findIndex(
        (title, index) => !taken.has(index) && title !== '' && names.includes(title),
      );
      if (at < 0) continue;
      taken.add(at);
      found[column.key] = at;
    }
  };
  const plain = header.map(plainWord);
  const bare = header.map(bareTitle);
  const known = ({ key, also = [] }: ListColumn) => [key, ...also];
  pass(plain, ({ title }) => [title]);
  pass(plain, known);
  pass(bare, ({ title, ...column }) => [title, ...known({ title, ...column })]);
  const { bought = -1, boughtOn = -1 } = found;
  return bought >= 0 && boughtOn < 0 && holdsDays(rows, bought)
    ? { ...found, bought: -1, boughtOn: bought }
    : found;
}

/** Whether most of what stands in a column are days: "Bought" may be how much or when. */
function holdsDays(rows: readonly TableRow[], at: number): boolean {
  const cells = rows.map(({ cells: own }) => (own[at] ?? '').trim()).filter((cell) => cell !== '');
  return cells.length > 0 && cells.filter((cell) => readTypedDay(cell, undefined)).length * 2 > cells.length;
}

/** A file as it is kept. */
export type ImportRow = RowOf<typeof importFileSql>;

/** Finds a file by its id. */
export const importOf = async (tx: Tx, id: Id<'import'>): Promise<ImportRow | undefined> =>
  isUUID(id) ? tx.row(importFileSql, { importId: id, stalledMs: STALLED_MS }) : undefined;

/** Writes how far it is. @returns false when it was cancelled meanwhile */
export async function note(
  session: StudioSession,
  id: Id<'import'>,
  change: {
    state?: ImportState;
    done?: number;
    good?: number;
    bad?: readonly BadRow[];
    questions?: readonly Question[];
    message?: string;
  },
): Promise<boolean> {
  return inStudio(session, async (tx) => {
    const row = await tx.row(noteImportSql, {
      importId: id,
      state: change.state ?? null,
      done: change.done ?? null,
      good: change.good ?? null,
      bad: change.bad ?? null,
      message: change.message ?? null,
      questions: change.questions ?? null,
    });
    return row?.state !== 'cancelled';
  });
}
