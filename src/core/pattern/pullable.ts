import { isActed } from '../technique/act';
import { isAsked } from '../parameter/parameter';
import type { AnyTechnique } from '../technique/technique';
import { measureOf, type TechniqueUse } from './composition';

/** Parameters that a use is not asked: they are of wires that it cuts itself, and it takes up others. */
export const unaskedOf = (
  { takes }: Pick<TechniqueUse, 'takes'>,
  technique: AnyTechnique,
): readonly string[] =>
  isActed(technique)
    ? Object.entries(technique.ports).flatMap(([key, { freshOnly }]) =>
        (takes[key] ?? []).length > 0 ? freshOnly : [],
      )
    : [];

/** Parameters of a use that can be pulled at on its picture: measures of its own, that it is asked. */
export function pullableOf(use: TechniqueUse, technique: AnyTechnique): readonly string[] {
  const unasked = unaskedOf(use, technique);
  return Object.entries(technique.parameters).flatMap(([key, parameter]) => {
    const isBound = measureOf(parameter) !== undefined && !use.own.includes(key);
    return isBound || unasked.includes(key) || !isAsked(parameter, use.texts) ? [] : [key];
  });
}
