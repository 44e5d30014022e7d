import { createHash } from 'node:crypto';
import { drawingSvg } from '@/core/drawing/drawingSvg';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import type { Specs } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { pictureOf } from '@/core/pattern/pictureOf';
import { readTag, type Tagged } from '@/core/tag';
import { techniqueOf } from '@/core/technique/registry';
import type { Tx } from '@/data/inStudio';
import { look, type StudioSession } from '../kernel/useCase';
import { specIdsOf, specsOf } from '../patterns/patterns';

/** A small picture: as it is drawn, as a file, and what that is told from others by. */
export interface SmallPicture {
  readonly drawing: LineDrawing;
  readonly svg: string;
  /** Another as soon as anything in the file is. */
  readonly mark: string;
}

/** What was drawn lately, by all that it hangs on. */
const drawn = new Map<string, SmallPicture>();
const MOST_DRAWN = 500;

const markOf = (text: string): string => createHash('sha256').update(text).digest('base64url').slice(0, 22);

/** The small picture of what a pattern comes to. @param specs of the wires that it names, and maybe others */
export function smallPicture(
  body: Pick<PatternBody, 'composition' | 'cuts' | 'parts'>,
  specs: Specs,
): SmallPicture {
  const { composition, cuts, parts } = body;
  const wires = [...new Set(specIdsOf(body))].map((id) => specs[id]);
  const key = markOf(JSON.stringify([composition, cuts, parts, wires]));
  const known = drawn.get(key);
  if (known) return known;
  const { drawing, looks } = pictureOf({ composition, cuts, parts }, specs, techniqueOf);
  const svg = drawingSvg(drawing, looks);
  const made = { drawing, svg, mark: markOf(svg) };
  const [oldest] = drawn.keys();
  if (drawn.size >= MOST_DRAWN && oldest !== undefined) drawn.delete(oldest);
  drawn.set(key, made);
  return made;
}

/**
 * What finished pieces were made as, by their numbers: for a batch as its line says, else as their revision of the pattern does. One that was
 * written by hand has no look of its own; when the pattern was composed since, that is how it looks.
 */
export async function bodiesOfPieces(
  tx: Tx,
  numbers: readonly number[],
): Promise<ReadonlyMap<number, PatternBody>> {
  const rows = await tx.select<{ number: number; body: PatternBody }>(
    `SELECT f.number, CASE WHEN COALESCE(l.body, r.body) ? 'composition' OR NOT newest.body ? 'composition'
                           THEN COALESCE(l.body, r.body) ELSE newest.body END AS body
       FROM pieces f
       JOIN pattern_revisions r
         ON r.studio_id = f.studio_id AND r.pattern_id = f.pattern_id AND r.revision = f.revision
       JOIN patterns p ON p.studio_id = f.studio_id AND p.pattern_id = f.pattern_id
       JOIN pattern_revisions newest
         ON newest.studio_id = p.studio_id AND newest.pattern_id = p.pattern_id AND newest.revision = p.revision
       LEFT JOIN batch_pieces m ON m.studio_id = f.studio_id AND m.piece_id = f.piece_id
       LEFT JOIN batch_lines l ON l.studio_id = m.studio_id AND l.batch_id = m.batch_id AND l.line = m.line
      WHERE f.studio_id = $1 AND f.number = ANY ($2)`,
    [tx.session.studioId, numbers],
  );
  return new Map(rows.map(({ number, body }) => [number, body]));
}

/** Reads what has a picture, by its number; of a batch, one of its lines. */
const BODIES: Partial<
  Readonly<Record<Tagged, (tx: Tx, number: number, line: number) => Promise<PatternBody | undefined>>>
> = {
  pattern: async (tx, number) => {
    const row = await tx.first<{ body: PatternBody }>(
      `SELECT r.body FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE p.studio_id = $1 AND p.number = $2`,
      [tx.session.studioId, number],
    );
    return row?.body;
  },
  piece: async (tx, number) => (await bodiesOfPieces(tx, [number])).get(number),
  batch: async (tx, number, line) => {
    const row = await tx.first<{ body: PatternBody }>(
      `SELECT l.body FROM batches b JOIN batch_lines l ON l.studio_id = b.studio_id AND l.batch_id = b.batch_id
        WHERE b.studio_id = $1 AND b.number = $2 AND l.line = $3`,
      [tx.session.studioId, number, line],
    );
    return row?.body;
  },
};

/**
 * The small picture of something with a tag: a pattern in its newest revision, a finished piece as it was made, or a line of a batch.
 * @param line of a batch, counted from 1
 * @returns null when there is no such thing, or nothing to be seen of it
 */
export async function pictureOfTag(
  session: StudioSession,
  tagged: string,
  line = 1,
): Promise<SmallPicture | null> {
  const read = readTag(tagged);
  const bodyOf = read && BODIES[read.kind];
  if (!bodyOf) return null;
  const found = await look(session, async (tx) => {
    const body = await bodyOf(tx, read.number, line);
    return body && { body, specs: await specsOf(tx, [body]) };
  });
  return found ? smallPicture(found.body, found.specs) : null;
}
