import type { Id } from '@/core/id';
import { partKey } from '@/core/part/partKey';
import type { PatternPart } from '@/core/pattern/pattern';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import { packsToChooseFromSql } from '@/data/sql/parts';
import { partsInDrawers } from '../drawers/partsInDrawers';

/** Something in the drawers that a part of a piece may be taken from. */
export type PartChoice = RowOf<typeof packsToChooseFromSql>;

/** So many of a part from one stock piece; from null, at the cost that the pattern says. */
export interface PartPick {
  readonly from: string | null;
  readonly count: number;
}

/** A part of a piece, what it may be taken from, and what it is proposed to be taken from. */
export interface PartProposal {
  /** Which part of the pattern it is. */
  readonly part: number;
  readonly name: string;
  readonly count: number;
  /** Whether the pattern says what one costs that is not from the drawers. */
  readonly isCosted: boolean;
  readonly choices: readonly PartChoice[];
  readonly picks: readonly PartPick[];
}

/** Lots and stones that are offered for a part. */
const OFFERED = 60;

/**
 * Proposes for every part of a piece which lots or stones of the drawers to take it from: what is set aside for its batch first,
 * then the oldest. What is not there is proposed at the cost that the pattern says.
 * @param batchId of the batch that the piece is made for; null for a piece by itself
 */
export async function proposeParts(
  tx: Tx,
  parts: readonly PatternPart[],
  batchId: Id<'batch'> | null,
): Promise<PartProposal[]> {
  const found = await partsInDrawers(
    tx,
    parts.map(({ name }) => name),
    batchId,
  );
  const articlesOf = new Map<string, string[]>();
  for (const { key, articleId } of found) articlesOf.set(key, [...(articlesOf.get(key) ?? []), articleId]);
  const choices = await choicesOf(tx, [...new Set(found.map(({ articleId }) => articleId))], batchId);
  /** What an earlier part of the same piece is proposed to take is not proposed twice. */
  const left = new Map(choices.map(({ id, free }) => [id, free]));
  return parts.map(({ name, count, unitCost }, part) => {
    const own = (articlesOf.get(partKey(name)) ?? [])
      .flatMap((article) => choices.filter(({ articleId }) => articleId === article))
      .slice(0, OFFERED);
    const picks: PartPick[] = [];
    let open = count;
    for (const { id } of own) {
      const taken = Math.min(open, left.get(id) ?? 0);
      if (taken <= 0) continue;
      picks.push({ from: id, count: taken });
      left.set(id, (left.get(id) ?? 0) - taken);
      open -= taken;
    }
    if (open > 0) picks.push({ from: null, count: open });
    return { part, name, count, isCosted: unitCost !== null, choices: own, picks };
  });
}

async function choicesOf(
  tx: Tx,
  articleIds: readonly Id<'article'>[],
  batchId: Id<'batch'> | null,
): Promise<PartChoice[]> {
  if (articleIds.length === 0) return [];
  const rows = await tx.rows(packsToChooseFromSql, { articleIds, batchId });
  return rows.filter(({ free }) => free > 0);
}
