import pg from 'pg';
import { checkBooks } from '../../src/data/checkBooks';

/**
 * Nothing is half there: every confirmed posting with its movements, every movement with its posting, and the books.
 * @param confirmed keys of the postings that the application said were posted
 */
export async function expectWhole(ownerUrl: string, confirmed: readonly string[]): Promise<void> {
  const client = new pg.Client(ownerUrl);
  await client.connect();
  try {
    const { rows: posted } = await client.query<{ key: string; movements: number }>(
      `SELECT p.post_key AS key, (SELECT count(*)::int FROM movements m WHERE m.post_key = p.post_key) AS movements
         FROM posts p WHERE p.post_key = ANY ($1)`,
      [confirmed],
    );
    expect(posted).toHaveLength(confirmed.length);
    // Spoiling writes two movements (wire, jar), parting two, a making at least a cut.
    expect(posted.filter(({ movements }) => movements === 0)).toEqual([]);
    const { rows: half } = await client.query(
      'SELECT FROM movements m WHERE NOT EXISTS (SELECT FROM posts p WHERE p.studio_id = m.studio_id AND p.post_key = m.post_key)',
    );
    expect(half).toEqual([]);
  } finally {
    await client.end();
  }
  expect((await checkBooks(ownerUrl)).differences).toEqual([]);
}
