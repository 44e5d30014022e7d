import type { Material } from '../stone/material';
import type { MetalId } from '../wire/metal';
import type { WireLook } from '../wire/metalColour';

/** How a surface looks: sRGB colour, and whether it is metal. */
export type Look = Pick<Material, 'colour' | 'isMetal'>;

/** What a stone or a bead looks like of which nobody has said more. */
export const STONE_LOOK: Look = { colour: '#9fb4ae', isMetal: false };

/** What a wire is drawn in until it is cut from one of the studio’s. */
export const UNCHOSEN: WireLook = { metal: 'steel', finish: 'bare' };

/** What is drawn of what. */
export interface Looks {
  /** The metal and finish of a wire, by what it is drawn as. */
  readonly wireOf: (wire: string) => WireLook;
  /** What a stone or a bead is made of, by its id; undefined when nobody has said. */
  readonly materialOf: (body: string) => Material | undefined;
}

/** Everything of one metal, its stones and beads of nothing that is known. */
export const allOf = (metal: MetalId): Looks => ({
  wireOf: () => ({ metal, finish: 'bare' }),
  materialOf: () => undefined,
});

/** How much of a colour its edge keeps. */
const EDGE = 0.6;

/** The colour of the edge of what is drawn in a colour: the same, darker. @example edgeOf('#a0c8ff') // '#607899' */
export function edgeOf(colour: Look['colour']): Look['colour'] {
  const parts = [1, 3, 5].map((at) => Math.round(EDGE * Number.parseInt(colour.slice(at, at + 2), 16)));
  return `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
}
