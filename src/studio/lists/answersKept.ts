import type { Tx } from '@/data/inStudio';
import type { Answers } from './questions';
import type { StockList } from './stockList';

/** What the maker has said before of files of a list: what words mean, and how columns of a title are read. */
export async function answersKept(tx: Tx, list: StockList): Promise<Answers> {
  const rows = await tx.select<{ question: string; answer: string }>(
    `SELECT question, answer FROM list_answers WHERE studio_id = $1 AND list = $2`,
    [tx.session.studioId, list.id],
  );
  return Object.fromEntries(rows.map(({ question, answer }) => [question, answer]));
}

/** Keeps what was said of words for the files that come: what all rows of one file are of, and its units, are that file's own. */
export async function keepAnswers(tx: Tx, listId: string, answers: Answers): Promise<void> {
  const lasting = Object.entries(answers).filter(([id]) => id.startsWith('word '));
  await tx.run(
    `INSERT INTO list_answers (studio_id, list, question, answer)
     SELECT $1, $2, q, a FROM unnest($3::text[], $4::text[]) AS v(q, a)
     ON CONFLICT (studio_id, list, question) DO UPDATE SET answer = excluded.answer`,
    [tx.session.studioId, listId, lasting.map(([id]) => id), lasting.map(([, answer]) => answer)],
  );
}
