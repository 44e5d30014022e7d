import type { Id } from '@/core/id';
import { partsOfBatch, type BatchLine } from '@/core/batch/batch';
import { partKey } from '@/core/part/partKey';
import { needsOf } from '@/core/batch/enough';
import type { Wanted } from '@/core/stock/toBuy';
import type { Tx } from '@/data/inStudio';
import { Batch } from '@/data/models/batches';
import { onHandOfSql, wiresOutOfTraysSql } from '@/data/sql/stock';
import { linesInBrief } from './batches';
import { countParts, partsInDrawers } from '../drawers/partsInDrawers';
import { madeCounts, NOTHING_DONE, progressOf } from './tray';

/** Lines of several batches keep their numbers apart. */
const APART = 1000;

/**
 * What the open batches together still want of each article, against all that there is: what is set aside lies aside for them.
 * @returns by article; wires that are cut already, and pieces that are made, want nothing
 */
export async function wantedByBatches(tx: Tx): Promise<Map<string, Wanted>> {
  const open = await tx.all(Batch, ['batchId'], { where: { state: 'open' }, order: ['number'], limit: 200 });
  const ids = open.map(({ batchId }) => batchId);
  if (ids.length === 0) return new Map();
  const progress = await progressOf(tx, ids);
  const places = new Map(ids.map((id, index) => [id, index]));
  const numberOf = (batchId: Id<'batch'>, line: number) => (places.get(batchId) ?? 0) * APART + line;
  const lines = (await linesInBrief(tx, ids)).map(({ batchId, ...line }): BatchLine => ({
    ...line,
    line: numberOf(batchId, line.line),
  }));
  const cut = new Set<string>();
  const made = new Map<number, number>();
  for (const id of ids) {
    const done = progress.get(id) ?? NOTHING_DONE;
    for (const key of done.cut) {
      const [line = '', ...rest] = key.split('.');
      cut.add([numberOf(id, Number(line)), ...rest].join('.'));
    }
    for (const [line, count] of madeCounts(done)) made.set(numberOf(id, line), count);
  }
  const specIds = [...new Set(lines.flatMap(({ body }) => body.cuts.map(({ specId }) => specId)))];
  const wires = await tx.rows(wiresOutOfTraysSql, { specIds });
  const parts = await partsInDrawers(
    tx,
    partsOfBatch(lines).map(({ name }) => name),
    null,
  );
  const inDrawers = await tx.rows(onHandOfSql, { articleIds: parts.map(({ articleId }) => articleId) });
  const there = new Map(inDrawers.map(({ articleId, quantity }) => [articleId, quantity]));
  const needs = needsOf(lines, {
    wires,
    parts: countParts(parts.map(({ key, articleId }) => ({ key, free: there.get(articleId) ?? 0 }))),
    cut,
    made,
  });
  // What fits best is what is bought; a stone is chosen one by one.
  const articleOf = new Map(
    parts
      .filter(({ ware, isNamed }) => isNamed || ware !== 'stone')
      .toReversed()
      .map(({ key, articleId }) => [key, articleId]),
  );
  return new Map([
    ...needs.wires.map(({ specId, needed, short }): [string, Wanted] => [specId, { needed, short }]),
    ...needs.parts.flatMap(({ name, needed, short }): [string, Wanted][] => {
      const articleId = articleOf.get(partKey(name));
      return articleId ? [[articleId, { needed, short }]] : [];
    }),
  ]);
}
