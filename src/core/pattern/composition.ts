import { beadLength, stone, type Parameter, type Parameters } from '../parameter/parameter';
import type { OwnStep } from './ownSteps';
import type { ChosenPorts } from '../technique/refs';
import { textsOf, type Texts } from '../parameter/readTexts';
import { insideWanted } from '../techniqueKit/ringStart';
import type { Techniques } from '../technique/technique';
import type { WireSpec } from '../wire/spec';

/**
 * What several techniques of a pattern share, so that the pattern can be resolved for another stone, ring or bead: a parameter is
 * bound to one of these unless it keeps a value of its own.
 */
export const MEASURES = {
  stone: stone('Stone', { outline: 'teardrop', length: 18, width: 13, depth: 5, edge: 2 }),
  ring: insideWanted,
  bead: beadLength('Bead', 6, 0.5, 100),
} as const satisfies Parameters;
export type Measure = keyof typeof MEASURES;

/** The measure that a parameter can be bound to. */
export function measureOf(parameter: Parameter): Measure | undefined {
  if (parameter.kind === 'stone') return 'stone';
  return parameter.kind === 'length' ? parameter.as : undefined;
}

/** A technique as a pattern uses it: what was typed for it, and what its wires are cut from. */
export interface TechniqueUse {
  /** Its own within the pattern, so that steps can be told apart. */
  readonly id: string;
  readonly technique: string;
  readonly name: string;
  /** As typed, each with its unit. */
  readonly texts: Texts;
  /** Wire parameters by the spec that they are cut from; the size is the spec’s. */
  readonly wires: Readonly<Record<string, string>>;
  /** Parameters that are not bound to a measure of the pattern, though they could be. */
  readonly own: readonly string[];
  /** By port, what it takes up of what techniques before it leave; what it does not take up is cut afresh. */
  readonly takes: ChosenPorts;
  /** The use that it is alike to on the other side: its own texts and wires rest while that is there. */
  readonly mirrors?: string;
}

/** The most pieces alike that a pattern makes. */
export const MOST_COPIES = 20;

/** A pattern as it is composed: techniques, what they share, and the order of the work. */
export interface Composition {
  readonly measures: Texts;
  readonly uses: readonly TechniqueUse[];
  /** What the maker adds to the steps of the techniques; patterns of before have none. */
  readonly steps?: readonly OwnStep[];
  /** Steps in the order of the work, “use.step”, and “own.1” of those that the maker adds; steps that are not named follow those of their technique. */
  readonly order: readonly string[];
  /** Order faults that the maker has overridden, by their key. */
  readonly overridden: readonly string[];
  /** How many alike make the piece: 2 for a pair. */
  readonly copies: number;
  /** Lengths that are cut already, as typed, by their cuts; patterns of before have none. */
  readonly inHand?: Texts;
}

/** Specs of the studio by id. */
export type Specs = Readonly<Record<string, WireSpec>>;

/** The measures that some technique of a composition is bound to. */
export const boundMeasures = (
  { uses }: Pick<Composition, 'uses'>,
  techniques: Techniques,
): readonly Measure[] =>
  (Object.keys(MEASURES) as Measure[]).filter((measure) =>
    uses.some(({ technique, own }) =>
      Object.entries(techniques(technique)?.parameters ?? {}).some(
        ([key, parameter]) => measureOf(parameter) === measure && !own.includes(key),
      ),
    ),
  );

/** A composition that holds nothing yet. */
export const EMPTY_COMPOSITION: Composition = {
  measures: textsOf(
    MEASURES,
    { stone: MEASURES.stone.initial, ring: MEASURES.ring.initial, bead: MEASURES.bead.initial },
    'mm',
  ),
  uses: [],
  order: [],
  overridden: [],
  copies: 1,
};
