import type { Id } from '@/core/id';
import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import { sameAs } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { PatternRevision } from '@/data/models/making';

/** A pattern as it stands in the room. */
export interface NewestPattern {
  readonly number: number;
  readonly patternId: Id<'pattern'>;
  readonly name: string;
  readonly kind: PatternKind;
  readonly revision: number;
  readonly body: PatternBody;
  /** Who wrote it like this, and when. */
  readonly by: string;
  readonly at: Date;
}

/** Patterns of some numbers, in their newest revisions. */
export async function newestPatterns(tx: Tx, numbers: readonly number[]): Promise<NewestPattern[]> {
  const rows = await tx.allWith(
    PatternRevision,
    ['patternId', 'revision', 'body', 'writtenAt'],
    { pattern: ['number', 'name', 'kind'], user: ['name'] },
    { where: { '$pattern.number$': [...numbers], revision: sameAs('pattern.revision') } },
  );
  return rows.map(({ pattern, user, writtenAt: at, ...row }) => ({ ...row, ...pattern, by: user.name, at }));
}

/** A pattern in its newest revision; undefined when there is none of that number. */
export const newestPattern = async (tx: Tx, number: number): Promise<NewestPattern | undefined> =>
  (await newestPatterns(tx, [number]))[0];
