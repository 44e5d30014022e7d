import type { LineDrawing } from '../drawing/lineDrawing';
import type { Looks } from '../drawing/look';
import { drawSmall } from '../plan/drawPlan';
import type { Techniques } from '../technique/technique';
import type { Composition, Specs } from './composition';
import { drawnParts } from './drawnParts';
import { laidOut, laidOutLooks } from './laidOut';
import { looksOf, type Named } from './looksOf';
import type { PatternCut } from './pattern';
import { resolve } from './resolve';

/** What a pattern is drawn by. */
export interface Pictured {
  /** Undefined for one that was written by hand. */
  readonly composition: Composition | undefined;
  readonly cuts: readonly PatternCut[];
  /** Its stones, beads and findings. */
  readonly parts: Named;
}

/** A picture: lines and bodies, and what they are of. */
export interface Picture {
  readonly drawing: LineDrawing;
  readonly looks: Looks;
}

/**
 * The small picture of a pattern, by which it is known among others: its piece, or the first of its techniques; its wires laid out, when it was
 * written by hand.
 */
export function pictureOf(
  { composition, cuts, parts }: Pictured,
  specs: Specs,
  techniques: Techniques,
): Picture {
  const [first] = composition ? drawnParts(resolve(composition, specs, techniques)) : [];
  return first
    ? { drawing: drawSmall(first.plan), looks: looksOf(first, specs, parts) }
    : { drawing: laidOut(cuts, specs), looks: laidOutLooks(cuts, specs) };
}
