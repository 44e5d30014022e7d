'use client';

import { memo } from 'react';
import type { ResolvedUse } from '@/core/pattern/resolve';
import { actUsesOf } from '@/core/pattern/resolve';
import { refuse } from '@/core/result';
import { endReached, endsTaken } from '@/core/plan/endReach';
import { askedFor } from '@/core/plan/reach';
import { AskedBackwards } from '@/ui/craft/AskedBackwards';
import { Fold } from '@/ui/Fold';

/** Asks backwards of one end of a piece: what is left of it where a technique takes it up makes so many turns, beads or millimetres. */
export const EndReach = memo(function EndReach({ uses }: { readonly uses: readonly ResolvedUse[] }) {
  const ends = uses.flatMap(({ use, technique, offered, plan }) =>
    plan
      ? endsTaken(use, offered).map((end) => ({
          id: `${use.id} ${end.ref}`,
          label: `${end.label}, for “${use.name}”`,
          asked: askedFor(technique),
          use: use.id,
          end,
        }))
      : [],
  );
  if (ends.every(({ asked }) => asked.length === 0)) return null;
  return (
    <section className="leaf px-4 py-1" aria-label="What an end in hand makes">
      <Fold title="What an end in hand makes">
        <AskedBackwards
          labels={{ length: 'Left of the end, where the technique begins', which: 'Of which end' }}
          inHand={ends.filter(({ asked }) => asked.length > 0)}
          stands={uses}
          reach={(id, measure, length) => {
            const found = ends.find((each) => each.id === id);
            return found
              ? endReached(actUsesOf(uses), found.use, found.end, measure, length)
              : refuse('That end is not there any more; choose again.');
          }}
        />
      </Fold>
    </section>
  );
});
