import type { Tagged } from '@/core/tag';
import type { Tx } from '@/data/inStudio';

/** Takes the next `count` numbers of a kind of tag: printed and never used twice. The first of them is returned. */
export async function takeNumbers(tx: Tx, series: Tagged, count = 1): Promise<number> {
  const row = await tx.first<{ last: number }>(
    `INSERT INTO counters (studio_id, name, last) VALUES ($1, $2, $3)
     ON CONFLICT (studio_id, name) DO UPDATE SET last = counters.last + $3 RETURNING last`,
    [tx.session.studioId, series, count],
  );
  if (!row) throw new Error(`the series ${series} gave no number`);
  return row.last - count + 1;
}

/** Sees to it that a number that was brought in from elsewhere is not handed out again. */
export async function passNumber(tx: Tx, series: Tagged, number: number): Promise<void> {
  await tx.run(
    `INSERT INTO counters (studio_id, name, last) VALUES ($1, $2, $3)
     ON CONFLICT (studio_id, name) DO UPDATE SET last = greatest(counters.last, $3)`,
    [tx.session.studioId, series, number],
  );
}
