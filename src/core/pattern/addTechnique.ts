import { isActed } from '../technique/act';
import type { Offer } from '../technique/joinActs';
import type { ChosenPorts } from '../technique/refs';
import { initialValues, isAsked } from '../parameter/parameter';
import type { WireSize } from '../wire/wireSize';
import { readTexts, textsOf, type Texts } from '../parameter/readTexts';
import type { AnyTechnique, Techniques } from '../technique/technique';
import { plainSpec } from '../plan/totals';
import type { MetalId } from '../wire/metal';
import { EMPTY_COMPOSITION, measureOf, type Composition, type Specs, type TechniqueUse } from './composition';
import { swapped } from './swapWires';

/** An id that no use of the composition has yet: a, b, c … a1. */
export function freeId({ uses }: Composition): string {
  const taken = new Set(uses.map(({ id }) => id));
  for (let index = 0; ; index += 1) {
    const id = String.fromCharCode(97 + (index % 26)) + (index < 26 ? '' : String(Math.floor(index / 26)));
    if (!taken.has(id)) return id;
  }
}

/** Measures that a technique is the first of the composition to want, as it proposes them. */
function firstMeasures(
  { uses, measures }: Composition,
  { parameters }: AnyTechnique,
  techniques: Techniques,
): Texts {
  const had = new Set(
    uses.flatMap(({ technique }) =>
      Object.values(techniques(technique)?.parameters ?? {}).map((parameter) => measureOf(parameter)),
    ),
  );
  const texts = textsOf(parameters, initialValues(parameters), 'mm');
  const first: Record<string, string> = { ...measures };
  for (const [key, parameter] of Object.entries(parameters)) {
    const measure = measureOf(parameter);
    if (measure === undefined || had.has(measure)) continue;
    for (const [field, text] of Object.entries(texts))
      if (field === key || field.startsWith(`${key}.`)) first[measure + field.slice(key.length)] = text;
  }
  return first;
}

/** The metal that most wires of a composition are of already; copper when there are none. */
function metalSoFar({ uses }: Composition, specs: Specs): MetalId {
  const counts = new Map<MetalId, number>();
  for (const specId of uses.flatMap(({ wires }) => Object.values(wires))) {
    const metal = specs[specId]?.metal;
    if (metal) counts.set(metal, (counts.get(metal) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'copper';
}

/** The studio’s wires that come nearest to what a technique proposes, where there are any. */
function proposedWires(
  { parameters }: AnyTechnique,
  texts: Texts,
  metal: MetalId,
  specs: Specs,
): Record<string, string> {
  return Object.fromEntries(
    Object.entries(parameters).flatMap(([key, parameter]) => {
      const found =
        parameter.kind === 'wire' && isAsked(parameter, texts)
          ? swapped(plainSpec(parameter.initial, metal), {}, specs)
          : undefined;
      return found ? [[key, found]] : [];
    }),
  );
}

/**
 * A composition of before: of wires that its techniques take now and that it does not name, those that come nearest to what each proposes, of
 * the metal that most of its wires are of.
 */
export function withMissingWires(
  composition: Composition,
  techniques: Techniques,
  specs: Specs,
): Composition {
  const metal = metalSoFar(composition, specs);
  return {
    ...composition,
    uses: composition.uses.map((use) => {
      const technique = techniques(use.technique);
      return technique
        ? { ...use, wires: { ...proposedWires(technique, use.texts, metal, specs), ...use.wires } }
        : use;
    }),
  };
}

/**
 * A pattern of one technique, as it was asked how much wire it takes.
 * @param texts as typed; what a pattern shares (its stone, ring or bead) becomes a measure of it
 * @param metal that its wires are of, as far as there are such
 */
export function ofOneTechnique(
  technique: AnyTechnique,
  texts: Texts,
  metal: MetalId,
  specs: Specs,
): Composition {
  const begun = withTechnique(EMPTY_COMPOSITION, technique, () => undefined, specs, metal);
  const measures: Record<string, string> = { ...begun.measures };
  for (const [key, parameter] of Object.entries(technique.parameters)) {
    const measure = measureOf(parameter);
    if (measure === undefined) continue;
    for (const [field, text] of Object.entries(texts))
      if (field === key || field.startsWith(`${key}.`)) measures[measure + field.slice(key.length)] = text;
  }
  const known = Object.fromEntries(
    Object.entries(texts).filter(([field]) => field in (begun.uses[0]?.texts ?? {})),
  );
  const sized = Object.fromEntries(
    Object.entries(technique.parameters).flatMap(([key, parameter]) => {
      if (parameter.kind !== 'wire' || !isAsked(parameter, texts)) return [];
      const read = readTexts({ [key]: parameter }, { ...begun.uses[0]?.texts, ...known }, 'mm');
      const found = read.ok
        ? swapped(plainSpec(read.value[key] as WireSize, metal), {}, specs)
        : begun.uses[0]?.wires[key];
      return found ? [[key, found]] : [];
    }),
  );
  return {
    ...begun,
    measures,
    uses: begun.uses.map((use) => ({ ...use, texts: { ...use.texts, ...known }, wires: sized })),
  };
}

/**
 * Adds a technique at the end, as it is proposed, cut from the studio’s wires that come nearest to it.
 * @param techniques that the composition is made by so far
 * @param metal that its wires are of; the one of most wires so far when it is left out
 * @param left what the techniques before leave to be taken up; the new one goes on from what suits it
 */
export function withTechnique(
  composition: Composition,
  technique: AnyTechnique,
  techniques: Techniques,
  specs: Specs = {},
  metal: MetalId = metalSoFar(composition, specs),
  left: readonly Offer[] = [],
): Composition {
  const { id, title, parameters } = technique;
  const texts = textsOf(parameters, initialValues(parameters), 'mm');
  const use: TechniqueUse = {
    id: freeId(composition),
    technique: id,
    name: title,
    texts,
    wires: proposedWires(technique, texts, metal, specs),
    own: [],
    takes: proposedPorts(technique, left),
  };
  return {
    ...composition,
    measures: firstMeasures(composition, technique, techniques),
    uses: [...composition.uses, use],
  };
}

/** What a technique takes up when it is added: of the thickest wires that were left last, as many as each port proposes. */
function proposedPorts(technique: AnyTechnique, left: readonly Offer[]): ChosenPorts {
  if (!isActed(technique)) return {};
  const last = left.at(-1)?.use;
  const thickest = Math.max(...left.filter(({ use }) => use === last).map(({ size }) => size.width));
  const free = left.filter(({ use, size }) => use === last && size.width === thickest);
  const chosen: Record<string, readonly string[]> = {};
  for (const [key, port] of Object.entries(technique.ports)) {
    const kind = port.takes.find((takes) => free.some((offer) => offer.takes === takes));
    const taken = Object.values(chosen).flat();
    const open = free.filter(({ ref, takes }) => takes === kind && !taken.includes(ref));
    const some = open.slice(Math.max(0, open.length - (port.proposed ?? port.to)));
    if (some.length >= port.from) chosen[key] = some.map(({ ref }) => ref);
  }
  return chosen;
}
