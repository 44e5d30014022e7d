import { fieldsOf, type Texts } from '../parameter/readTexts';
import type { Parameter, Parameters } from '../parameter/parameter';
import type { Techniques } from '../technique/technique';
import { MEASURES, type Composition, type TechniqueUse } from './composition';

/** A pattern while it is composed, as far as changes of it are told. */
export interface Drafted {
  readonly name: string;
  readonly kind: string;
  readonly notes: string;
  readonly composition: Composition;
  readonly parts: readonly { readonly name: string }[];
}

interface Known {
  readonly id: string;
  readonly name: string;
}

/** What was added to a list, taken out of it, or moved in it. */
function listChanged(before: readonly Known[], after: readonly Known[]): string | undefined {
  const added = after.find(({ id }) => before.every((each) => each.id !== id));
  if (added) return `${added.name} added`;
  const removed = before.find(({ id }) => after.every((each) => each.id !== id));
  if (removed) return `${removed.name} removed`;
  const moved = after.find(({ id }, index) => before[index]?.id !== id);
  return moved && `${moved.name} moved`;
}

/** What a field is called among parameters. */
function labelOf(field: string, parameters: Parameters, texts: Texts): string | undefined {
  const [key = ''] = field.split('.');
  const parameter: Parameter | undefined = parameters[key];
  if (!parameter) return undefined;
  const label = fieldsOf(key, parameter, texts).find((each) => each.field === field)?.label;
  return parameter.kind === 'stone' || parameter.kind === 'wire'
    ? `${parameter.label}: ${label ?? 'its shape'}`
    : (label ?? parameter.label);
}

const fieldChanged = (before: Texts, after: Texts): string | undefined =>
  Object.keys({ ...before, ...after }).find((field) => before[field] !== after[field]);

function useChanged(before: TechniqueUse, after: TechniqueUse, techniques: Techniques): string | undefined {
  if (before === after) return undefined;
  const { parameters = {} } = techniques(after.technique) ?? {};
  if (before.name !== after.name) return `${before.name} called ${after.name}`;
  if (before.mirrors !== after.mirrors) return `${after.name} cut loose`;
  const field = before.texts === after.texts ? undefined : fieldChanged(before.texts, after.texts);
  if (field !== undefined)
    return `${labelOf(field, parameters, after.texts) ?? 'a measure'} of ${after.name}`;
  if (before.wires !== after.wires) return `wire of ${after.name}`;
  if (before.takes !== after.takes) return `what ${after.name} takes up`;
  return `which measures of ${after.name} are the pattern’s`;
}

/** What differs between two compositions, in a few words. */
function compositionChanged(before: Composition, after: Composition, techniques: Techniques): string {
  const uses = listChanged(before.uses, after.uses);
  if (uses) return uses;
  const changed = after.uses.flatMap((use, index) => {
    const was = before.uses[index];
    return (was && useChanged(was, use, techniques)) ?? [];
  });
  if (changed[0] !== undefined) return changed.length > 1 ? `${changed[0]}, and more` : changed[0];
  const measure = fieldChanged(before.measures, after.measures);
  if (measure !== undefined) return labelOf(measure, MEASURES, after.measures) ?? 'a measure';
  const [stepsBefore, stepsAfter] = [before.steps ?? [], after.steps ?? []];
  const steps = listChanged(stepsBefore, stepsAfter);
  if (steps) return steps;
  const step = stepsAfter.find((each, index) => each !== stepsBefore[index]);
  if (step) return `step “${step.name}”`;
  if (before.copies !== after.copies) return 'pieces alike';
  if (before.inHand !== after.inHand) return 'a length that is cut already';
  return before.overridden === after.overridden ? 'the order of work' : 'an order that was kept';
}

/**
 * What differs between a pattern and what became of it, in a few words: “Flat spiral added”, “Across, outside of Flat spiral”.
 * @param techniques at hand, whose fields are called by their labels
 */
export function whatChanged(before: Drafted, after: Drafted, techniques: Techniques): string {
  if (before.composition !== after.composition)
    return compositionChanged(before.composition, after.composition, techniques);
  if (before.parts !== after.parts) {
    if (before.parts.length < after.parts.length) return 'a part added';
    if (before.parts.length > after.parts.length)
      return `${before.parts.find((part) => !after.parts.includes(part))?.name || 'a part'} removed`;
    return `${after.parts.find((part) => !before.parts.includes(part))?.name || 'a part'}`;
  }
  if (before.name !== after.name) return 'the name';
  return before.notes === after.notes ? 'what it makes' : 'the notes';
}
