'use client';

import { useMemo } from 'react';
import { withoutUse } from '@/core/pattern/changes';
import type { Composition } from '@/core/pattern/composition';
import type { DrawnPart } from '@/core/pattern/drawnParts';
import type { AtHand } from '@/core/pattern/goneOn';
import { canMirror, cutLoose, withMirrored } from '@/core/pattern/mirrored';
import { namedApart } from '@/core/pattern/namedApart';
import { resolve, type Resolved } from '@/core/pattern/resolve';
import type { KnownSpec } from '@/studio/wire/specs';
import type { PatternDraft } from './patternDraft';
import { UseCard } from './UseCard';
import type { Changes } from './useChanges';

/** Changes that need to know what techniques do. */
const knowingChanges = (compose: Changes['compose'], { specs, techniques }: AtHand) => ({
  remove: (id: string) => compose((before) => withoutUse(cutLoose(before, id, techniques), id)),
  mirror: (id: string) =>
    compose((before) => {
      const both = withMirrored(before, id, resolve(before, specs, techniques));
      return both.ok ? both.value : before;
    }),
  loosen: (id: string) => compose((before) => cutLoose(before, id, techniques)),
});

/** The techniques of the pattern, a card for each. */
export function UseCards({
  composition,
  resolved,
  atHand,
  specs,
  parts,
  changes,
  together,
  there,
}: {
  /** As it is typed. */
  readonly composition: Composition;
  /** As it was worked out last. */
  readonly resolved: Resolved;
  readonly atHand: AtHand;
  readonly specs: readonly KnownSpec[];
  readonly parts: PatternDraft['parts'];
  readonly changes: Changes;
  /** What is drawn large, and not on its card. */
  readonly together: readonly DrawnPart[];
  /** The techniques that were there when the pattern was opened. */
  readonly there: ReadonlySet<string>;
}) {
  const { compose } = changes;
  const { remove, mirror, loosen } = useMemo(() => knowingChanges(compose, atHand), [compose, atHand]);
  const { uses } = resolved;
  const typed = new Map(composition.uses.map((use) => [use.id, use]));
  const followedBy = (id: string | undefined) => {
    const original = uses.find(({ use }) => use.id === id);
    return original && namedApart(original, uses);
  };
  const last = composition.uses.at(-1)?.id;
  return (
    <div className="grid items-start gap-4 md:grid-cols-2 2xl:grid-cols-3">
      {uses.map((each, index) => {
        const use = typed.get(each.use.id);
        return (
          use && (
            <UseCard
              key={use.id}
              use={use}
              label={namedApart(each, uses)}
              resolved={each}
              specs={specs}
              byId={atHand.specs}
              parts={parts}
              onChange={changes.changeUse}
              onRemove={remove}
              isDrawn={!together.some((part) => part.uses.includes(each))}
              isFresh={use.id === last && !there.has(use.id)}
              follows={followedBy(use.mirrors)}
              onMirror={canMirror(use.id, resolved) ? mirror : undefined}
              onCutLoose={loosen}
              onEarlier={index > 0 ? changes.earlier : undefined}
              onLater={index < uses.length - 1 ? changes.later : undefined}
            />
          )
        );
      })}
    </div>
  );
}
