import { randomUUID } from 'node:crypto';
import type { Ware } from '@/core/stock/ware';
import type { Tx } from '@/data/inStudio';
import { Article } from '@/data/models/stock';

/** What makes an article. */
export interface ArticleIdentity {
  readonly ware: Ware;
  readonly name: string;
  /** Equal for the same stock only. */
  readonly sortKey: string;
}

export interface KnownArticle extends ArticleIdentity {
  readonly id: string;
  /** Whether it was made just now. */
  readonly isNew: boolean;
}

/** The studio's article that is the same stock, made when there is none yet. */
export async function ensureArticle(tx: Tx, { ware, name, sortKey }: ArticleIdentity): Promise<KnownArticle> {
  const { studioId } = tx.session;
  const found = await Article.findOne({ where: { studioId, ware, sortKey }, ...tx.within });
  if (found) return { id: found.articleId, ware, name: found.name, sortKey, isNew: false };
  const articleId = randomUUID();
  await tx.add(Article, [{ articleId, ware, name, said: name.toLowerCase(), sortKey }]);
  return { id: articleId, ware, name, sortKey, isNew: true };
}
