import type { Id } from '@/core/id';
import { partKey } from '@/core/part/partKey';
import { misfit, readWantedPart, type PartKind, type WantedPart } from '@/core/part/wantedPart';
import { type RowOf } from '@/data/sql/statement';
import type { Tx } from '@/data/inStudio';
import {
  freeOfArticlesSql,
  partsByNameSql,
  kindsOfBeadsSql,
  kindsOfFindingsSql,
  kindsOfStonesSql,
} from '@/data/sql/parts';

/** What a part of a pattern is in the drawers, and how much of it is free. */
export type FreePart = RowOf<typeof partsByNameSql>;

/** Kinds that are looked through for a part by what is wanted; a studio has some hundred. */
const MOST_KINDS = 10_000;

/**
 * What the parts of patterns are in the drawers: as it was said once, else what is called the same, else everything that fits what the
 * name asks for ({@link readWantedPart}), the best fit first. Parts that nobody knows are left out.
 * @param batchId whose own reservations count as free; null for no batch
 */
export async function partsInDrawers(
  tx: Tx,
  names: readonly string[],
  batchId: Id<'batch'> | null,
): Promise<FreePart[]> {
  const keys = [...new Set(names.map(partKey))];
  if (keys.length === 0) return [];
  const named = await tx.rows(partsByNameSql, { keys, batchId });
  const known = new Set(named.map(({ key }) => key));
  const wanted = keys.flatMap((key): [string, WantedPart][] => {
    const read = known.has(key) ? undefined : readWantedPart(key);
    return read ? [[key, read]] : [];
  });
  if (wanted.length === 0) return named;
  const kinds = await kindsInDrawers(tx, [...new Set(wanted.flatMap(([, { wares }]) => wares))], batchId);
  const fits = wanted.map(([key, want]) => ({ key, kinds: fitting(want, kinds) }));
  const free = await freeOf(
    tx,
    fits.flatMap(({ kinds: own }) => own.map(({ articleId }) => articleId)),
    batchId,
  );
  const best = (own: readonly Fitting[]) =>
    own
      .map((part) => ({ ...part, free: free.get(part.articleId) ?? 0 }))
      .sort((x, y) => x.off - y.off || y.free - x.free);
  return [
    ...named,
    ...fits.flatMap(({ key, kinds: own }) =>
      best(own).map(({ off: _, kind: __, ...part }) => ({ key, ...part })),
    ),
  ];
}

/** A kind of bead, stone or finding with its measures. */
export interface KindInDrawers extends Omit<FreePart, 'key' | 'free'> {
  readonly kind: PartKind;
}

/** One that fits, and how far it is off. */
interface Fitting extends KindInDrawers {
  readonly off: number;
}

const fitting = (wanted: WantedPart, kinds: readonly KindInDrawers[]): Fitting[] =>
  kinds.flatMap((each) => {
    const off = misfit(wanted, each.kind);
    return off === undefined ? [] : [{ ...each, off }];
  });

const kindOf =
  <Ware extends PartKind['ware']>(ware: Ware) =>
  <Measures extends Omit<Extract<PartKind, { readonly ware: Ware }>, 'ware'>>({
    articleId,
    article,
    ...measures
  }: Measures & Pick<FreePart, 'articleId' | 'article'>): KindInDrawers => ({
    articleId,
    article,
    ware,
    isNamed: false,
    kind: { ware, ...measures } as unknown as PartKind,
  });

/** Every kind of some wares with its measures. */
export async function kindsInDrawers(
  tx: Tx,
  wares: readonly PartKind['ware'][],
  batchId: Id<'batch'> | null,
): Promise<KindInDrawers[]> {
  const most = MOST_KINDS;
  const kinds: KindInDrawers[] = [];
  for (const ware of wares) {
    if (ware === 'bead') kinds.push(...(await tx.rows(kindsOfBeadsSql, { most })).map(kindOf(ware)));
    if (ware === 'finding') kinds.push(...(await tx.rows(kindsOfFindingsSql, { most })).map(kindOf(ware)));
    if (ware === 'stone')
      kinds.push(...(await tx.rows(kindsOfStonesSql, { batchId, most })).map(kindOf(ware)));
  }
  return kinds;
}

/** How many of each article are free. */
export async function freeOf(
  tx: Tx,
  articleIds: readonly Id<'article'>[],
  batchId: Id<'batch'> | null,
): Promise<Map<string, number>> {
  const rows = await tx.rows(freeOfArticlesSql, { articleIds: [...new Set(articleIds)], batchId });
  return new Map(rows.map(({ id, free }) => [id, free]));
}

/** So many of each part there are, by its key; parts that are not in the drawers are left out. */
export function countParts(parts: readonly Pick<FreePart, 'key' | 'free'>[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { key, free } of parts) counts.set(key, (counts.get(key) ?? 0) + Math.max(0, free));
  return counts;
}
