import type { Micrograms } from '../units/mass';

/** What the scale says of a finished piece against what went into it. */
export interface WeightJudged {
  /** How much heavier than its wire it is, as a share of that: 0.04 is 4 % heavier. */
  readonly off: number;
  /** What may be wrong; empty when it is as it should be. */
  readonly doubt: string;
}

/** What a scale and drawn wire do not explain together: wire keeps its weight within about 2 % (common practice), a small scale within 1 %. */
const USUAL = 0.03;

/**
 * Compares what a piece weighs with what its wire weighs by computation: when they disagree by more than a few percent, a length was not logged
 * (handbook of the trade, 9). Beads and stones are not weighed, so that a piece with them can only be too light.
 * @param wire what stayed in the piece; more than nothing
 */
export function judgeWeight(scale: Micrograms, wire: Micrograms, hasParts: boolean): WeightJudged {
  const off = scale / wire - 1;
  const percent = Math.round(Math.abs(off) * 100);
  if (off < -USUAL)
    return { off, doubt: `${percent} % lighter than its wire: was less left in it than was logged?` };
  if (off > USUAL && !hasParts)
    return { off, doubt: `${percent} % heavier than its wire: was a length not logged?` };
  return { off, doubt: '' };
}
