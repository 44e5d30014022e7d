import type { Ware } from '@/core/stock/ware';
import { pathOf, readTag, tag, type Tagged } from '@/core/tag';
import { look, type StudioSession } from '../kernel/useCase';

/** Something the command box found, with the address of its page. */
export interface Found {
  readonly kind: Tagged;
  readonly tag: string;
  readonly name: string;
  readonly href: string;
}

const MOST = 6;

const TABLES = { pattern: 'patterns', piece: 'pieces', batch: 'batches' } as const;

/** Finds stock of any ware, patterns, finished pieces and batches by the number on their tag or by words of their name. */
export function findAnything(session: StudioSession, typed: string): Promise<Found[]> {
  const text = typed.trim().slice(0, 100);
  if (text === '') return Promise.resolve([]);
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .slice(0, 6)
    .map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  const tagged = readTag(text);
  const { studioId } = session;
  return look(session, async (tx) => {
    const stock = await tx.select<{ kind: Ware; number: number; name: string }>(
      `SELECT p.ware AS kind, p.number, a.name
         FROM stock_pieces p JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
        WHERE p.studio_id = $1 AND ((p.ware = $4 AND p.number = $2) OR (p.quantity > 0 AND a.said LIKE ALL ($3)))
        ORDER BY (p.ware = $4 AND p.number = $2) DESC, p.ware DESC, p.sort_key, p.is_off_cut, p.number LIMIT ${2 * MOST}`,
      [studioId, tagged?.number ?? -1, words, tagged?.kind ?? ''],
    );
    const named = (kind: 'pattern' | 'piece' | 'batch') =>
      tx.select<{ number: number; name: string }>(
        `SELECT number, name FROM ${TABLES[kind]} WHERE studio_id = $1 AND (number = $2 OR name_lower LIKE ALL ($3))
          ORDER BY (number = $2) DESC, number DESC LIMIT ${MOST}`,
        [studioId, tagged?.kind === kind ? tagged.number : -1, words],
      );
    const found = (kind: Tagged, number: number, name: string): Found => ({
      kind,
      tag: tag(kind, number),
      name,
      href: pathOf(kind, number),
    });
    return [
      ...stock.map(({ kind, number, name }) => found(kind, number, name)),
      ...(await named('pattern')).map(({ number, name }) => found('pattern', number, name)),
      ...(await named('piece')).map(({ number, name }) => found('piece', number, name)),
      ...(await named('batch')).map(({ number, name }) => found('batch', number, name)),
    ];
  });
}
