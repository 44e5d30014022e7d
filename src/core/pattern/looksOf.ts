import { UNCHOSEN, type Looks } from '../drawing/look';
import { readWantedPart, standsFor } from '../part/wantedPart';
import type { PlacedBody } from '../piece/body';
import { materialIn, type Material } from '../stone/material';
import { said, saidBy } from '../units/said';
import type { Specs } from './composition';
import { specIdOf, type DrawnPart } from './drawnParts';
import { stonePart } from './workParts';

/** A part of a pattern, as far as its name says what it is. */
export type Named = readonly { readonly name: string }[];

/** How a body would be asked for of the drawers. */
function askedAs(body: PlacedBody): string {
  switch (body.kind) {
    case 'cab':
      return stonePart(body.size);
    case 'bead':
      return `bead, ${said(body.length)}`;
    case 'point':
      return `stone, ${saidBy(body.length, body.width)}`;
  }
}

/** What is made of what is asked for, by the parts that stand for it, those first that say their size. */
function materialFrom(asked: string, parts: Named): Material | undefined {
  const wanted = parts
    .filter(({ name }) => standsFor(name, asked))
    .flatMap(({ name }) => readWantedPart(name) ?? [])
    .sort((a, b) => b.sizes.length - a.sizes.length);
  return wanted.flatMap(({ words }) => materialIn(words.join(' ')) ?? [])[0];
}

/** What bodies are made of, by what parts are called. */
export function materialsOf(bodies: readonly PlacedBody[], parts: Named): Looks['materialOf'] {
  const asked = new Map(bodies.map((body) => [body.id, askedAs(body)]));
  // A halo has many beads of one kind.
  const found = new Map([...new Set(asked.values())].map((each) => [each, materialFrom(each, parts)]));
  return (id) => found.get(asked.get(id) ?? '');
}

/**
 * What is drawn of what in a part of a pattern: its wires of the metals that they are cut from, its stones and beads of what the parts of the
 * pattern are called.
 */
export function looksOf(
  { plan, ...part }: Pick<DrawnPart, 'uses' | 'plan'>,
  specs: Specs,
  parts: Named,
): Looks {
  return {
    metalOf: (wire) => specs[specIdOf(part, wire) ?? '']?.metal ?? UNCHOSEN,
    materialOf: materialsOf(plan.run?.bodies ?? [], parts),
  };
}
