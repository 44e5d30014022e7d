import { numberOnTag, tag } from '@/core/tag';
import { describeSpec } from '@/core/wire/spec';
import { look, type StudioSession } from '../kernel/useCase';
import { SPEC_COLUMNS, specFromRow, type SpecColumns } from '../wire/specs';

/** Something the command box found, with the address of its page. */
export interface Found {
  readonly kind: 'wire' | 'pattern' | 'piece';
  readonly tag: string;
  readonly name: string;
  readonly href: string;
}

const MOST = 6;

/** Finds stock pieces, patterns and finished pieces by the number on their tag or by words of their name. */
export function findAnything(session: StudioSession, typed: string): Promise<Found[]> {
  const text = typed.trim().slice(0, 100);
  if (text === '') return Promise.resolve([]);
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .slice(0, 6)
    .map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  const numberOf = (kind: 'wire' | 'pattern' | 'piece') => numberOnTag(kind, text) ?? -1;
  const { studioId } = session;
  return look(session, async (tx) => {
    const wires = await tx.select<SpecColumns & { number: number }>(
      `SELECT p.number, ${SPEC_COLUMNS}
         FROM stock_pieces p JOIN wire_specs s ON s.studio_id = p.studio_id AND s.spec_id = p.article_id
         JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id
        WHERE p.studio_id = $1 AND p.ware = 'wire' AND (p.number = $2 OR (p.quantity > 0 AND a.said LIKE ALL ($3)))
        ORDER BY (p.number = $2) DESC, p.sort_key, p.is_off_cut, p.number LIMIT ${MOST}`,
      [studioId, numberOf('wire'), words],
    );
    const named = (table: 'patterns' | 'pieces', number: number) =>
      tx.select<{ number: number; name: string }>(
        `SELECT number, name FROM ${table} WHERE studio_id = $1 AND (number = $2 OR lower(name) LIKE ALL ($3))
          ORDER BY (number = $2) DESC, number DESC LIMIT ${MOST}`,
        [studioId, number, words],
      );
    const patterns = await named('patterns', numberOf('pattern'));
    const pieces = await named('pieces', numberOf('piece'));
    return [
      ...wires.map((row): Found => {
        const label = tag('wire', row.number);
        return { kind: 'wire', tag: label, name: describeSpec(specFromRow(row)), href: `/rack/${label}` };
      }),
      ...patterns.map(({ number, name }): Found => {
        const label = tag('pattern', number);
        return { kind: 'pattern', tag: label, name, href: `/patterns/${label}` };
      }),
      ...pieces.map(({ number, name }): Found => {
        const label = tag('piece', number);
        return { kind: 'piece', tag: label, name, href: `/shelf/${label}` };
      }),
    ];
  });
}
