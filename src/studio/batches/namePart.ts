import { partKey } from '@/core/part/partKey';
import { Article } from '@/data/models/stock';
import { refused, type Outcome } from '../kernel/outcome';
import { look, post, type StudioSession } from '../kernel/useCase';

/** What can be picked from the drawers for a part. */
export interface PickableArticle {
  readonly id: string;
  readonly name: string;
}

/** Beads and findings of the studio, by name. */
export const pickableArticles = (session: StudioSession): Promise<PickableArticle[]> =>
  look(session, (tx) =>
    tx.select<PickableArticle>(
      `SELECT article_id AS id, name FROM articles WHERE studio_id = $1 AND ware IN ('bead', 'finding') ORDER BY ware, sort_key LIMIT 2000`,
      [session.studioId],
    ),
  );

/** Says what a part of patterns is in the drawers; from now on it is that in every batch. */
export function namePart(
  session: StudioSession,
  postKey: string,
  name: string,
  articleId: string,
): Promise<Outcome<null>> {
  return post(
    session,
    'namePart',
    postKey,
    () => partKey(name).slice(0, 120),
    async (tx, key) => {
      const { studioId } = session;
      const article = await Article.findOne({ where: { studioId, articleId }, ...tx.within });
      if (!article || key === '') throw refused('This is not in the drawers any more; choose another.');
      await tx.run(
        `INSERT INTO part_names (studio_id, name, article_id) VALUES ($1, $2, $3)
         ON CONFLICT (studio_id, name) DO UPDATE SET article_id = excluded.article_id`,
        [studioId, key, articleId],
      );
      return null;
    },
  );
}
