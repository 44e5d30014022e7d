import { groupBy } from '../groupBy';
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

/** How a body would be asked for of the drawers: a coin is held like a cab, with no dome, and a drop that is drilled lengthwise is threaded like a bead. */
function askedAs(body: PlacedBody): readonly string[] {
  switch (body.kind) {
    case 'cab':
      return body.size.edge < body.size.depth
        ? [stonePart(body.size)]
        : [stonePart(body.size), `coin, ${said(body.size.length)}`];
    case 'bead':
      return body.length === body.width
        ? [`bead, ${said(body.length)}`]
        : [`bead, ${said(body.length)}`, `drop, ${saidBy(body.length, body.width)}`];
    case 'point':
      return [`stone, ${saidBy(body.length, body.width)}`];
  }
}

/** What is made of what is asked for, by the parts that stand for it, those first that say their size. */
function materialFrom(asked: readonly string[], parts: Named): Material | undefined {
  const wanted = parts
    .filter(({ name }) => asked.some((each) => standsFor(name, each)))
    .flatMap(({ name }) => readWantedPart(name) ?? [])
    .sort((a, b) => b.sizes.length - a.sizes.length);
  return wanted.flatMap(({ words }) => materialIn(words.join(' ')) ?? [])[0];
}

/** What bodies are made of, by what parts are called. */
export function materialsOf(bodies: readonly PlacedBody[], parts: Named): Looks['materialOf'] {
  // A halo has many beads of one kind.
  const alike = groupBy(bodies, (body) => askedAs(body).join(', '));
  const found = new Map(
    [...alike.values()].flatMap((group) => {
      const material = group[0] && materialFrom(askedAs(group[0]), parts);
      return group.map(({ id }) => [id, material] as const);
    }),
  );
  return (id) => found.get(id);
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
    wireOf: (wire) => specs[specIdOf(part, wire) ?? ''] ?? UNCHOSEN,
    materialOf: materialsOf(plan.run?.bodies ?? [], parts),
  };
}
