import type { SupplyUnit } from '@/core/stock/amount';
import type { StockForm, Ware } from '@/core/stock/ware';
import { readTag, tag } from '@/core/tag';
import { look, type StudioSession } from '../kernel/useCase';

/** What stands on the label of a stock piece. */
export interface Label {
  readonly tag: string;
  readonly ware: Ware;
  readonly name: string;
  readonly form: StockForm;
  readonly place: string | null;
  readonly quantity: number;
  readonly unit: SupplyUnit | null;
}

/** The most labels that are made at once. */
export const MOST_LABELS = 500;

/** Labels of the stock pieces whose tags are named, in the order they are named; tags of nothing are left out. */
export function labelsOf(session: StudioSession, tags: readonly string[]): Promise<Label[]> {
  const wanted = tags.slice(0, MOST_LABELS).flatMap((text) => readTag(text) ?? []);
  return look(session, async (tx) => {
    const rows = await tx.select<Omit<Label, 'tag'> & { number: number }>(
      `SELECT p.ware, p.number, a.name, p.form, l.name AS place, p.quantity, y.unit
         FROM unnest($2::text[], $3::int[]) WITH ORDINALITY AS w(ware, number, position)
         JOIN stock_pieces p ON p.studio_id = $1 AND p.ware = w.ware AND p.number = w.number
         JOIN articles a ON a.studio_id = $1 AND a.article_id = p.article_id
         LEFT JOIN supplies y ON y.studio_id = $1 AND y.article_id = p.article_id
         LEFT JOIN places l ON l.studio_id = $1 AND l.place_id = p.place_id ORDER BY w.position`,
      [session.studioId, wanted.map(({ kind }) => kind), wanted.map(({ number }) => number)],
    );
    return rows.map(({ number, ...row }) => ({ ...row, tag: tag(row.ware, number) }));
  });
}

/** Tags of everything that lies in a place, for labelling a whole drawer. */
export function tagsInPlace(session: StudioSession, placeId: string): Promise<string[]> {
  return look(session, async (tx) => {
    const rows = await tx.select<{ ware: Ware; number: number }>(
      `SELECT ware, number FROM stock_pieces WHERE studio_id = $1 AND place_id::text = $2 AND quantity > 0
        ORDER BY ware, sort_key, number LIMIT ${MOST_LABELS}`,
      [session.studioId, placeId],
    );
    return rows.map(({ ware, number }) => tag(ware, number));
  });
}
