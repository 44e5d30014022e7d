import { describeRing, ringOf, type RingSize } from '../ring/ringSize';
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
  const sizes = ringsOf(body).map(describeRing);
  return sizes.length > 0 ? [...new Set(sizes)].join(' and ') : undefined;
}

/** The rings that a piece is made for, as far as they can be read. */
const ringsOf = (body: Pick<PatternBody, 'composition'>): RingSize[] =>
  ringTexts(body).flatMap((text) => {
    const read = readTexts({ inside: insideWanted }, { inside: text }, 'mm');
    return read.ok ? ringOf(Number(read.value['inside'])) : [];
  });

/** The one ring that a piece is made for; undefined for what is no ring, and for several that are not alike. */
export function ringWanted(body: Pick<PatternBody, 'composition'>): RingSize | undefined {
  const [first, ...others] = ringsOf(body);
  return first && others.every(({ diameter }) => diameter === first.diameter) ? first : undefined;
}
