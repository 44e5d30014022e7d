import { tailsOf } from './tails';
import { roundSpan } from '../ruler';
import { sumLengths, um, type Micrometres } from '../units/length';
import type { CostUnits } from '../units/money';
import type { Composition } from './composition';

/** What kind of thing a pattern makes. */
export const PATTERN_KINDS = [
  'pendant',
  'earrings',
  'ring',
  'bracelet',
  'necklace',
  'brooch',
  'finding',
  'other',
] as const;
export type PatternKind = (typeof PATTERN_KINDS)[number];

/** A named extra on a cut: a tail to hold, a bail, a trim. Never hidden in a factor. */
export interface Allowance {
  readonly name: string;
  readonly length: Micrometres;
}

/** One cut of a pattern, made `count` times. */
export interface PatternCut {
  readonly name: string;
  readonly specId: string;
  readonly count: number;
  /** What the piece itself takes, along the centre line of the wire. */
  readonly net: Micrometres;
  readonly allowances: readonly Allowance[];
  /** The technique that it is cut for and its wire parameter, “technique.wire”; cuts that were written by hand have none. */
  readonly work?: string;
  /** What happens where along it, from its left end; patterns that were written by hand have none. */
  readonly marks?: readonly { readonly at: Micrometres; readonly what: string }[];
}

/** Beads, stones and findings by count. */
export interface PatternPart {
  readonly name: string;
  readonly count: number;
  /** What one costs when it does not come from the drawers; null when nobody has said. */
  readonly unitCost: CostUnits | null;
  /** What was typed, where the size that the work wants was added to it. */
  readonly typedName?: string;
  /** Whether it follows from the techniques of the pattern and was not added by hand. */
  readonly ofWork?: true;
}

/** A step of the work; set-up steps are done once per sitting, however many are made. */
export interface PatternStep {
  readonly name: string;
  readonly minutes: number;
  readonly perSitting: boolean;
  /** The technique that it is a step of and its name there, “technique.step”; steps that were written by hand have none. */
  readonly work?: string;
  /** Whether it is something to look at, or something that must be so before the work goes on; work when it is not told. */
  readonly kind?: 'check' | 'stop';
  /** What must have happened before it, each with its reason; steps that were written by hand have none. */
  readonly stops?: readonly string[];
  /** What to take care of while doing it. */
  readonly cautions?: readonly string[];
}

/** A way of making a piece, with lengths in it rather than guesses. */
export interface PatternBody {
  readonly name: string;
  readonly kind: PatternKind;
  readonly notes: string;
  readonly cuts: readonly PatternCut[];
  readonly parts: readonly PatternPart[];
  readonly steps: readonly PatternStep[];
  /** What cuts and steps were worked out from; patterns that were written by hand have none. */
  readonly composition?: Composition;
}

/** Length to cut: net plus every allowance. */
export const cutLength = (cut: Pick<PatternCut, 'net' | 'allowances'>): Micrometres =>
  sumLengths([cut.net, ...cut.allowances.map(({ length }) => length)]);

/** The round length that a ruler needs so that every cut of the patterns fits on it. */
export const spanOf = (patterns: readonly (readonly PatternCut[])[]): Micrometres =>
  roundSpan(um(Math.max(0, ...patterns.flat().map(cutLength))), um(50_000));

/** One wire to be cut: the same cut twice is two of these. */
export interface WantedCut {
  readonly cutIndex: number;
  /** 0 for the first of its count. */
  readonly copy: number;
  readonly name: string;
  readonly specId: string;
  readonly length: Micrometres;
  /** The pieces of it that are trimmed off again. */
  readonly tails: readonly Micrometres[];
}

/** Every single wire a pattern asks for, in the order written. */
export function wantedCuts(body: Pick<PatternBody, 'cuts'>): WantedCut[] {
  return body.cuts.flatMap((cut, cutIndex) =>
    Array.from({ length: cut.count }, (_, copy) => ({
      cutIndex,
      copy,
      name: cut.count > 1 ? `${cut.name} ${copy + 1} of ${cut.count}` : cut.name,
      specId: cut.specId,
      length: cutLength(cut),
      tails: tailsOf(cut),
    })),
  );
}

/** Wire needed per spec, in the order the specs first appear. */
export function wireBySpec(body: Pick<PatternBody, 'cuts'>): Map<string, Micrometres> {
  const need = new Map<string, Micrometres>();
  for (const cut of body.cuts) {
    need.set(cut.specId, um((need.get(cut.specId) ?? 0) + cutLength(cut) * cut.count));
  }
  return need;
}

/** Minutes for each piece and, apart, for setting up a sitting. */
export function minutesOf(body: Pick<PatternBody, 'steps'>): { each: number; setUp: number } {
  const total = (perSitting: boolean) =>
    body.steps.filter((step) => step.perSitting === perSitting).reduce((sum, step) => sum + step.minutes, 0);
  return { each: total(false), setUp: total(true) };
}
