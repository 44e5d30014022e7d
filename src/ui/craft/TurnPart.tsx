'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Composition, Specs } from '@/core/pattern/composition';
import type { Named } from '@/core/pattern/looksOf';

/** What it takes to turn a piece weighs more than the page. */
const TurnedPart = dynamic(() => import('./TurnedPart'), {
  ssr: false,
  loading: () => <p className="muted">It is being put together…</p>,
});

/** A piece of a pattern in the round, once one wants to see it so. @param part the id of its first technique */
export function TurnPart({
  composition,
  specs,
  part,
  name,
  parts,
}: {
  composition: Composition;
  specs: Specs;
  part: string;
  name: string;
  parts: Named;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="no-print mt-2">
      <button
        type="button"
        className="btn btn-sm min-h-11"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'Put it away' : 'Turn it in the round'}
      </button>
      {isOpen && (
        <TurnedPart composition={composition} specs={specs} turned={{ part }} name={name} parts={parts} />
      )}
    </div>
  );
}
