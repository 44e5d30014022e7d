import { cutLength, type PatternCut } from '../pattern/pattern';
import type { Micrometres } from '../units/length';

/**
 * Which other wires of a pattern a spoiled one is still long enough for, when all of it is straight: those of the same stock that are shorter.
 * @returns their names, the longest first
 */
export function stillDoesFor(
  { cutIndex, length }: { readonly cutIndex: number; readonly length: Micrometres },
  cuts: readonly PatternCut[],
): readonly string[] {
  const spoiled = cuts[cutIndex];
  return cuts
    .filter((cut, index) => index !== cutIndex && cut.specId === spoiled?.specId && cutLength(cut) <= length)
    .toSorted((one, other) => cutLength(other) - cutLength(one))
    .map(({ name }) => name);
}
