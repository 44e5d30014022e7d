import type { MetalId, Temper } from '../wire/metal';
import type { WireSpec } from '../wire/spec';
import { isTradeWire } from '../wire/tradeWires';
import type { Composition, Specs } from './composition';

/** What a wire is wanted to be instead; what is left out stays. */
export interface Swap {
  readonly metal?: MetalId;
  readonly temper?: Temper;
  /** Width, µm. */
  readonly width?: number;
}

/** Wires that are as thick as one another to within so much are of one size: gauges of two systems, and what draw plates leave. */
export const SAME_SIZE = 0.04;

/** How far two wires differ in what a swap does not name: profile must agree, then size, then temper. */
function unlike(wanted: WireSpec & Required<Swap>, spec: WireSpec): number {
  if (spec.metal !== wanted.metal || spec.profile !== wanted.profile || spec.finish !== 'bare')
    return Infinity;
  const size = Math.abs(spec.width - wanted.width) / wanted.width;
  if (size > SAME_SIZE) return Infinity;
  return size * 10 + (spec.temper === wanted.temper ? 0 : 1);
}

/** The studio’s wire that comes nearest to a wire with something swapped; undefined when none is of that profile and size. */
export function swapped(spec: WireSpec, swap: Swap, specs: Specs): string | undefined {
  const wanted = { ...spec, ...swap, width: (swap.width ?? spec.width) as WireSpec['width'] };
  const ranked = Object.entries(specs)
    .map(([id, each]) => ({ id, unlike: unlike(wanted as WireSpec & Required<Swap>, each) }))
    .filter((each) => each.unlike < Infinity)
    // What would have to be bought comes last.
    .sort(
      (a, b) =>
        Number(isTradeWire(a.id)) - Number(isTradeWire(b.id)) ||
        a.unlike - b.unlike ||
        a.id.localeCompare(b.id),
    );
  return ranked[0]?.id;
}

/** A composition with its wires swapped throughout, and the wires that the studio has no counterpart of. */
export interface Swapped {
  readonly composition: Composition;
  readonly missing: readonly string[];
}

/** Swaps metal, temper or gauge throughout. @param only the spec that is swapped; all of them when it is left out */
export function swapThroughout(composition: Composition, swap: Swap, specs: Specs, only?: string): Swapped {
  const missing = new Set<string>();
  const uses = composition.uses.map((use) => ({
    ...use,
    wires: Object.fromEntries(
      Object.entries(use.wires).map(([key, specId]) => {
        const spec = specs[specId];
        if (!spec || (only !== undefined && specId !== only)) return [key, specId];
        const other = swapped(spec, swap, specs);
        if (other === undefined) missing.add(specId);
        return [key, other ?? specId];
      }),
    ),
  }));
  return { composition: { ...composition, uses }, missing: [...missing] };
}
