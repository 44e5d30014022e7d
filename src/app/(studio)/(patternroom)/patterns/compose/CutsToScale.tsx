'use client';

import type { Specs } from '@/core/pattern/composition';
import type { Resolved } from '@/core/pattern/resolve';
import { CutStrips } from '@/ui/craft/CutStrips';
import { stripsOf } from '@/ui/craft/stripsOf';
import { useSame } from '@/ui/useSame';

/** The wires that a pattern is cut from, to one scale. */
export function CutsToScale({ resolved, byId }: { readonly resolved: Resolved; readonly byId: Specs }) {
  return (
    <section className="leaf p-4" aria-label="Cuts">
      <h2>Wires to cut, to scale</h2>
      <div className="mt-2">
        <CutStrips strips={useSame(stripsOf(resolved, byId))} />
      </div>
      <p className="muted mt-3 text-sm">
        {resolved.grams.toFixed(2)} g of wire stay in the piece, as far as its wires are chosen.
      </p>
    </section>
  );
}
