import type { Tx } from '@/data/inStudio';
import { ListAnswer } from '@/data/models/lists';
import type { Answers } from './questions';
import type { StockList } from './stockList';

/** What the maker has said before of files of a list: what words mean, and how columns of a title are read. */
export async function answersKept(tx: Tx, list: StockList): Promise<Answers> {
  const rows = await tx.all(ListAnswer, ['question', 'answer'], { where: { list: list.id } });
  return Object.fromEntries(rows.map(({ question, answer }) => [question, answer]));
}

/** Keeps what was said of words for the files that come: what all rows of one file are of, and its units, are that file's own. */
export async function keepAnswers(tx: Tx, listId: string, answers: Answers): Promise<void> {
  const lasting = Object.entries(answers).filter(([id]) => id.startsWith('word '));
  await tx.put(
    ListAnswer,
    lasting.map(([question, answer]) => ({ list: listId, question, answer })),
    ['answer'],
  );
}
