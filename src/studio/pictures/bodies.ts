import { newestPattern } from '../patterns/newestPatterns';
import { BatchLineRow } from '@/data/models/batches';
import type { PatternBody } from '@/core/pattern/pattern';
import { readTag, type Tagged } from '@/core/tag';
import type { Tx } from '@/data/inStudio';
import { bodiesOfPiecesSql } from '@/data/sql/patterns';
import { look, type StudioSession } from '../kernel/useCase';
import { bodyShownTo, specsOf } from '../patterns/patterns';
import type { KnownSpec } from '../catalogue/wireSpecs';

/**
 * What finished pieces were made as, by their numbers: for a batch as its line says, else as their revision of the pattern does. One that was
 * written by hand has no look of its own; when the pattern was composed since, that is how it looks.
 */
export async function bodiesOfPieces(
  tx: Tx,
  numbers: readonly number[],
): Promise<ReadonlyMap<number, PatternBody>> {
  const rows = await tx.rows(bodiesOfPiecesSql, { numbers });
  return new Map(rows.map(({ number, body }) => [number, body]));
}

/** Reads what has a picture, by its number; of a batch, one of its lines. */
const BODIES: Partial<
  Readonly<Record<Tagged, (tx: Tx, number: number, line: number) => Promise<PatternBody | undefined>>>
> = {
  pattern: async (tx, number) => {
    const row = await newestPattern(tx, number);
    return row?.body;
  },
  piece: async (tx, number) => (await bodiesOfPieces(tx, [number])).get(number),
  batch: async (tx, number, line) => {
    const row = await tx.oneWith(
      BatchLineRow,
      ['body'],
      { batch: [] },
      { where: { '$batch.number$': number, line } },
    );
    return row?.body;
  },
};

/** What something with a tag is made as, and the wires that it names. */
export interface TaggedBody {
  readonly body: PatternBody;
  readonly specs: Readonly<Record<string, KnownSpec>>;
}

/**
 * What something with a tag is made as: a pattern in its newest revision, a finished piece as it was made, or a line of a batch.
 * @param line of a batch, counted from 1
 * @returns null when there is no such thing
 */
export async function bodyOfTag(
  session: StudioSession,
  tagged: string,
  line = 1,
): Promise<TaggedBody | null> {
  const read = readTag(tagged);
  const bodyOf = read && BODIES[read.kind];
  if (!bodyOf) return null;
  return look(session, async (tx) => {
    const body = await bodyOf(tx, read.number, line);
    return body ? { body: bodyShownTo(session, body), specs: await specsOf(tx, [body]) } : null;
  });
}
