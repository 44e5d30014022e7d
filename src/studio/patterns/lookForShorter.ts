import type { Composition, Specs } from '@/core/pattern/composition';
import { shorterCourses, type ShortCut, type ShortWire } from '@/core/pattern/shorterCourse';
import { techniqueOf } from '@/core/techniques/registry';

/** A composition of which a wire was cut too short, and the specs of its wires. */
export interface ShorterAsked {
  readonly composition: Composition;
  readonly specs: Specs;
  readonly short: ShortCut;
}

/** What can be made of the wire, see {@link shorterCourses}: null when the composition has none such. It keeps its thread until it is done. */
export async function lookForShorter({ composition, specs, short }: ShorterAsked): Promise<ShortWire | null> {
  return Promise.resolve(shorterCourses(composition, { specs, techniques: techniqueOf }, short));
}
