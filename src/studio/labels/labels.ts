import type { Id } from '@/core/id';
import { moreThan } from '@/data/conditions';
import { StockPiece } from '@/data/models/stock';
import { labelsOfSql } from '@/data/sql/find';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { readTag, tag } from '@/core/tag';
import { specsOf } from '../patterns/patterns';
import { bodiesOfPieces } from '../pictures/bodies';
import { smallPicture } from '../pictures/pictures';
import { look, type StudioSession } from '../kernel/useCase';

/** What stands on the label of a stock piece, or of a finished piece. */
export interface Label {
  readonly tag: string;
  readonly name: string;
  /** What form stock is in, or what kind of piece it is. */
  readonly form: string;
  /** Where stock is kept, or the ring size of a piece. */
  readonly place: string | null;
  /** What a finished piece looks like. */
  readonly drawing?: LineDrawing;
}

/** The most labels that are made at once. */
export const MOST_LABELS = 500;

/** Labels of the stock and the finished pieces whose tags are named, in the order they are named; tags of nothing are left out. */
export function labelsOf(session: StudioSession, tags: readonly string[]): Promise<Label[]> {
  const wanted = tags.slice(0, MOST_LABELS).flatMap((text) => readTag(text) ?? []);
  return look(session, async (tx) => {
    const rows = await tx.rows(labelsOfSql, {
      kinds: wanted.map(({ kind }) => kind),
      numbers: wanted.map(({ number }) => number),
    });
    const pieces = rows.filter(({ kind }) => kind === 'piece').map(({ number }) => number);
    const bodies = await bodiesOfPieces(tx, pieces);
    const specs = await specsOf(tx, [...bodies.values()]);
    return rows.map(({ kind, number, ...row }) => {
      const body = kind === 'piece' ? bodies.get(number) : undefined;
      return {
        ...row,
        tag: tag(kind, number),
        ...(body && { drawing: smallPicture(body, specs).drawing }),
      };
    });
  });
}

/** Tags of everything that lies in a place, for labelling a whole drawer. */
export function tagsInPlace(session: StudioSession, placeId: Id<'place'>): Promise<string[]> {
  return look(session, async (tx) => {
    const rows = await tx.all(StockPiece, ['ware', 'number'], {
      where: { placeId, quantity: moreThan(0) },
      order: ['ware', 'sortKey', 'number'],
      limit: MOST_LABELS,
    });
    return rows.map(({ ware, number }) => tag(ware, number));
  });
}
