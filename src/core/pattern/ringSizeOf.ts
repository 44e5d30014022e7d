import { describeRing, ringOf } from '../ring/ringSize';
import { readTexts } from '../parameter/readTexts';
import { techniqueOf } from '../techniques/registry';
import { insideWanted } from '../techniqueKit/ringStart';
import { measureOf } from './composition';
import type { PatternBody } from './pattern';

/** The texts of the inside diameters that the techniques of a pattern are made for, each once. */
function ringTexts({ composition }: Pick<PatternBody, 'composition'>): string[] {
  const texts = (composition?.uses ?? []).flatMap(({ technique, own, texts: typed }) =>
    Object.entries(techniqueOf(technique)?.parameters ?? {}).flatMap(([key, parameter]) =>
      measureOf(parameter) === 'ring'
        ? ((own.includes(key) ? typed[key] : composition?.measures['ring']) ?? [])
        : [],
    ),
  );
  return [...new Set(texts)];
}

/** What is being made, by its name and the ring size that it is made in. */
export const calledInFull = (body: Pick<PatternBody, 'name' | 'composition'>): string =>
  [body.name, ringSizeOf(body)].filter(Boolean).join(', ');

/**
 * The ring size that a piece is made in, as it is said everywhere: "US 7 · UK N½ · ISO 54.4".
 * @returns undefined for what is no ring
 */
export function ringSizeOf(body: Pick<PatternBody, 'composition'>): string | undefined {
  const sizes = ringTexts(body).flatMap((text) => {
    const read = readTexts({ inside: insideWanted }, { inside: text }, 'mm');
    return read.ok ? describeRing(ringOf(Number(read.value['inside']))) : [];
  });
  return sizes.length > 0 ? [...new Set(sizes)].join(' and ') : undefined;
}
