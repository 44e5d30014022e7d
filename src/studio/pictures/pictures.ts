import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { drawingSvg } from '@/core/drawing/drawingSvg';
import { LARGE, type LineDrawing } from '@/core/drawing/lineDrawing';
import type { View } from '@/core/drawing/view';
import type { Specs } from '@/core/pattern/composition';
import { looksOf } from '@/core/pattern/looksOf';
import type { PatternBody } from '@/core/pattern/pattern';
import { pictureOf, type Picture } from '@/core/pattern/pictureOf';
import { resolve } from '@/core/pattern/resolve';
import { stepByStep, writtenSteps, type WorkedStep } from '@/core/pattern/stepByStep';
import { drawPlan } from '@/core/plan/drawPlan';
import { techniqueOf } from '@/core/techniques/registry';
import type { StudioSession } from '../kernel/useCase';
import { specIdsOf } from '../patterns/patterns';
import { bodyOfTag } from './bodies';

/** A picture: as it is drawn, as a file, and what that is told from others by. */
export interface TaggedPicture {
  readonly drawing: LineDrawing;
  readonly svg: string;
  /** Another as soon as anything in the file is. */
  readonly mark: string;
}

type Drawn = Pick<PatternBody, 'composition' | 'cuts' | 'parts'>;

/** What was drawn and worked out lately, by all that it hangs on. */
const drawn = new LRUCache<string, TaggedPicture>({ max: 500 });
const worked = new LRUCache<string, readonly WorkedStep[]>({ max: 20 });

function rememberedIn<T extends object>(lately: LRUCache<string, T>, key: string, make: () => T): T {
  const known = lately.get(key) ?? make();
  lately.set(key, known);
  return known;
}

const markOf = (text: string): string => createHash('sha256').update(text).digest('base64url').slice(0, 22);

/** Another as soon as anything is that what a pattern looks like hangs on. */
function markOfBody(body: Drawn, specs: Specs): string {
  const { composition, cuts, parts } = body;
  const wires = [...new Set(specIdsOf(body))].map((id) => specs[id]);
  return markOf(JSON.stringify([composition, cuts, parts, wires]));
}

function told({ drawing, looks }: Picture): TaggedPicture {
  const svg = drawingSvg(drawing, looks);
  return { drawing, svg, mark: markOf(svg) };
}

/**
 * The same with what it is drawn of, for paper in colour. It is not remembered: what tells the colours holds on to the whole piece, which weighs
 * megabytes.
 */
export const colouredPicture = ({ composition, cuts, parts }: Drawn, specs: Specs): Picture =>
  pictureOf({ composition, cuts, parts }, specs, techniqueOf);

/** The small picture of what a pattern comes to. @param specs of the wires that it names, and maybe others */
export function smallPicture(body: Drawn, specs: Specs): TaggedPicture {
  const { composition, cuts, parts } = body;
  return rememberedIn(drawn, markOfBody(body, specs), () =>
    told(pictureOf({ composition, cuts, parts }, specs, techniqueOf)),
  );
}

/** The order of work of a pattern, one step at a time. @param specs of the wires that it names, and maybe others */
export function workedSteps(body: Drawn & Pick<PatternBody, 'steps'>, specs: Specs): readonly WorkedStep[] {
  const { composition, steps } = body;
  if (!composition) return writtenSteps(steps);
  return rememberedIn(worked, markOfBody(body, specs), () =>
    stepByStep(resolve(composition, specs, techniqueOf)),
  );
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
): Promise<TaggedPicture | null> {
  const found = await bodyOfTag(session, tagged, line);
  return found && smallPicture(found.body, found.specs);
}

/**
 * The piece as it is when a step of the work on it is done, large.
 * @param step counted from 1, in the order of the work
 * @param line of a batch, counted from 1
 * @returns null when there is no such step, or nothing to be seen of it
 */
export async function pictureOfStep(
  session: StudioSession,
  tagged: string,
  step: number,
  view: View,
  line = 1,
): Promise<TaggedPicture | null> {
  const found = await bodyOfTag(session, tagged, line);
  const seen = found && workedSteps(found.body, found.specs)[step - 1]?.seen;
  if (!seen) return null;
  const { body, specs } = found;
  return rememberedIn(drawn, `${markOfBody(body, specs)} ${step} ${view}`, () =>
    told({ drawing: drawPlan(seen.plan, LARGE, view), looks: looksOf(seen.part, specs, body.parts) }),
  );
}
