import { wireColour } from '../wire/metalColour';
import type { LineDrawing } from './lineDrawing';
import { edgeOf, STONE_LOOK, type Looks } from './look';

/** What a layer of a drawing is drawn in, sRGB. */
export interface Inks {
  readonly fill: string;
  readonly edge: string;
}

/** The colours of a layer: a wire in those of its metal, a stone or a bead in that of what it is made of. */
export function inksOf(layer: LineDrawing['layers'][number], { wireOf, materialOf }: Looks): Inks {
  if (layer.kind !== 'body') return wireColour(wireOf(layer.wire));
  const { colour } = materialOf(layer.body) ?? STONE_LOOK;
  return { fill: colour, edge: edgeOf(colour) };
}
