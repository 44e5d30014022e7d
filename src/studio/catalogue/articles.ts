import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import type { Ware } from '@/core/stock/ware';
import type { Tx } from '@/data/inStudio';
import { Article } from '@/data/models/articles';

/** What makes an article. */
export interface ArticleIdentity {
  readonly ware: Ware;
  readonly name: string;
  /** Equal for the same stock only. */
  readonly identity: string;
  /** Where it stands in the order that its ware is kept in. */
  readonly sortKey: string;
}

export interface KnownArticle extends ArticleIdentity {
  readonly id: Id<'article'>;
  /** Whether it was made just now. */
  readonly isNew: boolean;
}

/** The studio's article that is the same stock, made when there is none yet. */
export async function ensureArticle(tx: Tx, article: ArticleIdentity): Promise<KnownArticle> {
  const { ware, name, identity, sortKey } = article;
  const found = await tx.one(Article, ['articleId', 'name', 'sortKey'], { where: { ware, identity } });
  if (found)
    return { id: found.articleId, ware, name: found.name, identity, sortKey: found.sortKey, isNew: false };
  const articleId = randomUUID();
  await tx.add(Article, [{ articleId, ware, name, said: name.toLowerCase(), identity, sortKey }]);
  return { id: articleId, ...article, isNew: true };
}
