import type { Specs } from '@/core/pattern/composition';
import { composedOf, type HousePattern } from '@/core/house/composedOf';

/** A pattern as the composer’s form would post it, cut from the wires of the demo studio. */
export const composeInput = (pattern: HousePattern, specs: Specs) => ({
  name: pattern.name,
  kind: pattern.kind,
  notes: pattern.notes,
  composition: composedOf(pattern, specs),
  parts: (pattern.parts ?? []).map(([called, count, dollars]) => ({
    name: called,
    count: String(count),
    unitCost: `${dollars.toFixed(2)} USD`,
  })),
});
