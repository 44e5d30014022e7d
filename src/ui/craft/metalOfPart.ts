import type { Specs } from '@/core/pattern/composition';
import { specIdOf, type DrawnPart } from '@/core/pattern/drawnParts';
import type { MetalId } from '@/core/wire/metal';
import { UNCHOSEN } from './unchosen';

/** The metal that a drawn wire of a part is of, by what it is drawn as. */
export const metalOfPart =
  (part: Pick<DrawnPart, 'uses'>, specs: Specs) =>
  (wire: string): MetalId =>
    specs[specIdOf(part, wire) ?? '']?.metal ?? UNCHOSEN;
