import type { Tagged } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { passNumbersSql, nextNumbersSql } from '@/data/sql/ledger';

/** Takes the next `count` numbers of a kind of tag: printed and never used twice. The first of them is returned. */
export async function takeNumbers(tx: Tx, series: Tagged, count = 1): Promise<number> {
  const row = await tx.row(nextNumbersSql, { series, count });
  if (!row) throw new Error(`the series ${series} gave no number`);
  return row.last - count + 1;
}

/** Sees to it that a number that was brought in from elsewhere is not handed out again. */
export async function passNumber(tx: Tx, series: Tagged, number: number): Promise<void> {
  await tx.execute(passNumbersSql, { series, number });
}
