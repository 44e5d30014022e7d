import { readTexts } from '../parameter/readTexts';
import { techniqueOf } from '../techniques/registry';
import { mm, type Micrometres } from '../units/length';
import { measureOf } from './composition';
import { followed } from './followed';
import type { PatternBody } from './pattern';

/** Something of a pattern that is bent round a mandrel. */
export interface InsideWanted {
  /** What it is: a loop, a bail, a ring. */
  readonly name: string;
  readonly inside: Micrometres;
  /** The wire that is bent; undefined where its technique has none. */
  readonly specId: string | undefined;
}

/** What a parameter that is told as an inside is of: “Hanging loop, inside” of a hanging loop, “Inside, for the chain” of an opening for it. */
function nameOf(label: string): string {
  const [, forWhat] = /^inside, (.+)$/iu.exec(label) ?? [];
  if (forWhat !== undefined) return `Opening ${forWhat}`;
  return /^inside\b/iu.test(label) ? 'Ring' : label.replace(/,? inside\b.*$/iu, '');
}

/**
 * What the techniques of a pattern bend round mandrels, each once, from narrow to wide: every length that is told as an inside. A pattern
 * that was written by hand tells of none.
 */
export function insidesWanted({ composition }: Pick<PatternBody, 'composition'>): readonly InsideWanted[] {
  const found = followed(composition?.uses ?? [], techniqueOf).flatMap(({ technique, own, texts, wires }) => {
    const [specId] = Object.values(wires);
    const parameters = techniqueOf(technique)?.parameters ?? {};
    return Object.entries(parameters).flatMap(([key, parameter]): InsideWanted[] => {
      const { label, asked } = parameter;
      if (parameter.kind !== 'length' || !/\binside\b/iu.test(label)) return [];
      if (asked && !asked.is.includes(texts[asked.of] ?? '')) return [];
      const measure = measureOf(parameter);
      const typed = measure && !own.includes(key) ? composition?.measures[measure] : texts[key];
      const read = readTexts({ inside: parameter }, { inside: typed ?? '' }, 'mm');
      const inside = read.ok ? mm(Number(read.value['inside'])) : mm(parameter.initial);
      return [{ name: nameOf(label), inside, specId }];
    });
  });
  return [
    ...new Map(found.map((each) => [`${each.name} ${each.inside} ${each.specId}`, each])).values(),
  ].toSorted((one, other) => one.inside - other.inside);
}
