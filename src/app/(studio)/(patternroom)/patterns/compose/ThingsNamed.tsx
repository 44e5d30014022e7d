'use client';

import { useState } from 'react';
import type { Thing, Things } from '@/core/pattern/things';
import { Fold } from '@/ui/Fold';
import { Said } from '@/ui/house';

/** Everything of a piece by name, to be taken in hand by keys as it is pointed at on the picture. */
export function ThingsNamed({
  things,
  held,
  onHold,
}: {
  readonly things: () => Things;
  readonly held: Thing | undefined;
  readonly onHold: (thing: Thing) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Fold title="Stones, beads and wires by name" onOpen={setOpen}>
      <div className="flex flex-wrap gap-2">
        {(isOpen ? things().all : []).map((thing) => (
          <button
            key={thing.id}
            type="button"
            aria-pressed={thing.id === held?.id}
            className={`btn btn-sm h-auto min-h-11 py-1 font-normal ${thing.id === held?.id ? 'btn-primary' : ''}`}
            onClick={() => onHold(thing)}
          >
            <Said>{thing.name}</Said>
          </button>
        ))}
      </div>
    </Fold>
  );
}
