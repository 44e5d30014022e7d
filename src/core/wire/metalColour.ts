import type { MetalId } from './metal';
import type { WireSpec } from './spec';

/** The colour of a metal on paper and in the round, and its edge that stands out; sRGB. */
export interface MetalColour {
  readonly fill: `#${string}`;
  readonly edge: `#${string}`;
}

/** The same colours as on the screen, where they are told in `globals.css`. */
export const METAL_COLOURS: Readonly<Record<MetalId, MetalColour>> = {
  copper: { fill: '#c0693f', edge: '#8a4526' },
  brass: { fill: '#c9a63c', edge: '#8b7020' },
  bronze: { fill: '#9a7442', edge: '#6a4d27' },
  'fine-silver': { fill: '#dde1e3', edge: '#7e878c' },
  sterling: { fill: '#b9c1c6', edge: '#6b757b' },
  'gold-filled': { fill: '#e2b64a', edge: '#a17819' },
  steel: { fill: '#87929a', edge: '#525c63' },
  aluminium: { fill: '#ccd3d0', edge: '#828c88' },
  niobium: { fill: '#7d7898', edge: '#54506b' },
  titanium: { fill: '#74777b', edge: '#4a4d50' },
};

/** Coated wire: its metal cannot be seen. */
export const COATED_COLOUR: MetalColour = { fill: '#a24f86', edge: '#6f2f5a' };

/** What a wire looks like: its metal, and whether that is coated. */
export type WireLook = Pick<WireSpec, 'metal' | 'finish'>;

/**
 * The colour of a wire on paper and in the round.
 * @example wireColour({ metal: 'copper', finish: 'bare' }) === wireColour({ metal: 'brass', finish: 'bare' }) // false
 */
export const wireColour = ({ metal, finish }: WireLook): MetalColour =>
  finish === 'coated' ? COATED_COLOUR : METAL_COLOURS[metal];
