import { allowance, cutOf, type PlannedCut } from '../technique/technique';
import { readInside, type Texts } from '../parameter/readTexts';
import { UM_PER_MM } from '../units/length';

/** A length that is cut already, against what the piece needs. */
export interface CutInHand {
  /** mm that are left over at its end; negative when it is too short. */
  readonly over: number;
}

/** By what a length in hand is kept for a cut of a pattern. @param use the id of its technique */
export const cutKey = (use: string, { name }: Pick<PlannedCut, 'name'>): string => `${use} ${name}`;

/** What is left over of a length that was cut before it was known what it takes. */
const LEFT_OVER = 'left over';
/** Lengths nearer than this are the same: no hand cuts to it, mm. */
const SAME = 0.05;

/**
 * A cut with what is in hand for it: as long as that is, what the piece does not need left over at its end. One that is too short, or that
 * cannot be read, leaves the cut as it is needed.
 * @param typed the length, with its unit; nothing when none is in hand
 */
export function withInHand<Cut extends PlannedCut>(
  cut: Cut,
  typed: string | undefined,
): Cut & { readonly inHand?: CutInHand } {
  if (typed === undefined || typed.trim() === '') return cut;
  const read = readInside(typed, 'mm');
  if (!read.ok) return cut;
  const over = read.value / UM_PER_MM - cutOf(cut);
  const inHand = { over: Math.abs(over) < SAME ? 0 : over };
  return inHand.over > 0
    ? { ...cut, inHand, terms: [...cut.terms, allowance(LEFT_OVER, inHand.over)] }
    : { ...cut, inHand };
}

/** Lengths in hand with one of them typed, or given up when nothing is typed. */
export function withLengthTyped(inHand: Texts, key: string, typed: string): Texts {
  if (typed !== '') return { ...inHand, [key]: typed };
  return Object.fromEntries(Object.entries(inHand).filter(([each]) => each !== key));
}
