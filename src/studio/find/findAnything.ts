import { anywhere, escapePattern } from '../kernel/called';
import { type RowOf } from '@/data/sql/statement';
import { findKindsSql, findStockSql, findNamedSql } from '@/data/sql/find';
import { pathOf, readTag, tag, TAG_PATHS, type Tagged } from '@/core/tag';
import { TECHNIQUES } from '@/core/techniques/registry';
import { takesWire } from '@/core/technique/technique';
import { soughtWords } from '@/core/wire/gaugeWords';
import { look, type StudioSession } from '../kernel/useCase';

/** Something the command box found, with the address of its page. */
export interface Found {
  readonly kind: Tagged | 'kind' | 'technique';
  /** The number on its tag; of what has none, what it is. */
  readonly tag: string;
  readonly name: string;
  readonly href: string;
}

const MOST = 6;

/** A kind of stock, with how its list is narrowed to it. */
type KindRow = RowOf<typeof findKindsSql>;

/**
 * Finds stock of any ware, kinds of it, patterns, finished pieces, batches, orders, receipts and techniques by the number on their tag or by words
 * of their name, or of their buyer’s; sizes of wire in whatever way they are written.
 */
export function findAnything(session: StudioSession, typed: string): Promise<Found[]> {
  const text = typed.trim().slice(0, 100);
  if (text === '') return Promise.resolve([]);
  const inWords = (list: readonly string[]) => list.slice(0, 6).map(anywhere);
  const { sizes, words: others } = soughtWords(text);
  const words = inWords(text.toLowerCase().split(/\s+/));
  // A wire is called by its size first: "20 ga round sterling".
  const ofWire = [...sizes.map((size) => `${escapePattern(size)} %`), ...inWords(others)];
  const tagged = readTag(text);
  return look(session, async (tx) => {
    const stock = await tx.rows(findStockSql, {
      number: tagged?.number ?? -1,
      words,
      kind: tagged?.kind ?? '',
      wireWords: ofWire,
      most: 2 * MOST,
    });
    const kinds = await tx.rows(findKindsSql, { words, wireWords: ofWire, most: MOST });
    const found = (kind: Tagged, number: number, name: string): Found => ({
      kind,
      tag: tag(kind, number),
      name,
      href: pathOf(kind, number),
    });
    const named = async (kind: keyof typeof findNamedSql): Promise<Found[]> => {
      const number = tagged?.kind === kind ? tagged.number : -1;
      const rows = await tx.rows(findNamedSql[kind], { number, words, most: MOST });
      return rows.map((row) => found(kind, row.number, row.name));
    };
    return [
      ...kinds.map(foundKind),
      ...stock.map(({ kind, number, name }) => found(kind, number, name)),
      ...(await named('pattern')),
      ...(await named('piece')),
      ...(await named('batch')),
      // Orders are the owner’s alone.
      ...(session.role === 'owner' ? await named('order') : []),
      ...(await named('sale')),
      ...techniquesCalled(text),
    ];
  });
}

/** All there is of a kind: the list of its ware, narrowed to it. */
function foundKind({ ware, name, pieces, metal, profile, temper, gauge }: KindRow): Found {
  const narrowed: Record<string, string> =
    metal === null
      ? { words: name }
      : { metal, profile: profile ?? '', gauge: gauge ?? '', temper: temper ?? '' };
  return {
    kind: 'kind',
    tag: `all ${pieces}`,
    name,
    href: `${TAG_PATHS[ware]}?${new URLSearchParams(narrowed).toString()}`,
  };
}

/** Techniques that are called so: how much wire they take. */
function techniquesCalled(text: string): Found[] {
  const words = text.toLowerCase().split(/\s+/);
  return TECHNIQUES.filter(takesWire)
    .filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)))
    .slice(0, MOST)
    .map(({ id, title }) => ({
      kind: 'technique',
      tag: 'wire for',
      name: title,
      href: `/how-much?of=${encodeURIComponent(id)}`,
    }));
}
