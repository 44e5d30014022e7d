import { createHash } from 'node:crypto';
import { drawingSvg } from '@/core/drawing/drawingSvg';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import type { Specs } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { pictureOf } from '@/core/pattern/pictureOf';
import { techniqueOf } from '@/core/technique/registry';
import type { StudioSession } from '../kernel/useCase';
import { specIdsOf } from '../patterns/patterns';
import { bodyOfTag } from './bodies';

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
 * The small picture of something with a tag: a pattern in its newest revision, a finished piece as it was made, or a line of a batch.
 * @param line of a batch, counted from 1
 * @returns null when there is no such thing, or nothing to be seen of it
 */
export async function pictureOfTag(
  session: StudioSession,
  tagged: string,
  line = 1,
): Promise<SmallPicture | null> {
  const found = await bodyOfTag(session, tagged, line);
  return found && smallPicture(found.body, found.specs);
}
