import { withTechnique } from '../pattern/addTechnique';
import { withUse } from '../pattern/changes';
import { swapThroughout } from '../pattern/swapWires';
import { EMPTY_COMPOSITION, type Composition, type Specs } from '../pattern/composition';
import type { ChosenPorts } from '../technique/refs';
import type { PatternKind } from '../pattern/pattern';
import { techniqueOf } from '../techniques/registry';
import type { Texts } from '../parameter/readTexts';
import type { MetalId, Temper } from '../wire/metal';

/** A technique of a pattern, what is typed over in it, and what it goes on from; the first is called a, the second b, and so on. */
type HouseUse = readonly [technique: string, texts?: Texts, takes?: ChosenPorts];

/** A pattern of the house, composed of techniques. */
export interface HousePattern {
  readonly name: string;
  readonly kind: PatternKind;
  readonly metal: MetalId;
  readonly temper?: Temper;
  readonly uses: readonly HouseUse[];
  readonly measures?: Texts;
  readonly copies?: number;
  readonly notes: string;
  /** Whether a studio that begins is offered a copy. */
  readonly isStarter?: true;
  readonly parts?: readonly (readonly [name: string, count: number, dollars: number])[];
}

/** A pattern of the house as a composition, cut from the wires of a studio. */
export function composedOf(
  { metal, temper, uses, measures = {}, copies = 1 }: HousePattern,
  specs: Specs,
): Composition {
  let composition = EMPTY_COMPOSITION;
  for (const [id, texts = {}, takes = {}] of uses) {
    const technique = techniqueOf(id);
    if (!technique) throw new Error(`there is no technique “${id}”`);
    composition = withTechnique(composition, technique, techniqueOf, specs);
    const use = composition.uses.at(-1);
    if (use) composition = withUse(composition, use.id, { texts: { ...use.texts, ...texts }, takes });
  }
  const { composition: swapped } = swapThroughout(
    composition,
    { metal, ...(temper ? { temper } : {}) },
    specs,
  );
  return { ...swapped, measures: { ...swapped.measures, ...measures }, copies };
}
