import type { Id } from '@/core/id';
import { partKey } from '@/core/part/partKey';
import { Article } from '@/data/models/articles';
import { PartName } from '@/data/models/batches';
import { refused, type Outcome } from '../kernel/outcome';
import { look, post, type StudioSession } from '../kernel/useCase';

/** What can be picked from the drawers for a part. */
export interface PickableArticle {
  readonly id: string;
  readonly name: string;
}

/** Beads and findings of the studio, by name. */
export const pickableArticles = (session: StudioSession): Promise<PickableArticle[]> =>
  look(session, async (tx) => {
    const rows = await tx.all(Article, ['articleId', 'name'], {
      where: { ware: ['bead', 'finding'] },
      order: ['ware', 'sortKey'],
      limit: 2000,
    });
    return rows.map(({ articleId, name }) => ({ id: articleId, name }));
  });

/** Says what a part of patterns is in the drawers; from now on it is that in every batch. */
export function namePart(
  session: StudioSession,
  postKey: Id<'post'>,
  name: string,
  articleId: Id<'article'>,
): Promise<Outcome<null>> {
  return post(
    session,
    'namePart',
    postKey,
    () => partKey(name).slice(0, 120),
    async (tx, key) => {
      const article = await tx.one(Article, ['articleId'], { where: { articleId } });
      if (!article || key === '') throw refused('This is not in the drawers any more; choose another.');
      await tx.put(PartName, [{ name: key, articleId }], ['articleId']);
      return null;
    },
  );
}
