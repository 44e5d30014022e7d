'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { FlipHorizontal2 } from 'lucide-react';
import { withoutUse } from '@/core/pattern/changes';
import type { Composition } from '@/core/pattern/composition';
import type { DrawnPart } from '@/core/pattern/drawnParts';
import type { AtHand } from '@/core/pattern/goneOn';
import { canMirror, cutLoose, withMirrored, withSideMirrored } from '@/core/pattern/mirrored';
import { namedApart } from '@/core/pattern/namedApart';
import { resolve, type Resolved, type ResolvedUse } from '@/core/pattern/resolve';
import { refsOf, leaverOf } from '@/core/technique/refs';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import type { PatternDraft } from './patternDraft';
import type { Asked, Pointed } from './pointed';
import { UseCard } from './UseCard';
import type { Changes } from './useChanges';

/** It is asked of a piece that goes on from something. */
const RepeatUses = dynamic(() => import('./RepeatUses').then((loaded) => loaded.RepeatUses), { ssr: false });

/** Changes that need to know what techniques do. */
const knowingChanges = (compose: Changes['compose'], { specs, techniques }: AtHand) => ({
  remove: (id: string) => compose((before) => withoutUse(cutLoose(before, id, techniques), id)),
  mirror: (id: string) =>
    compose((before) => {
      const both = withMirrored(before, id, resolve(before, specs, techniques));
      return both.ok ? both.value : before;
    }),
  mirrorSide: () => compose((before) => withSideMirrored(before, { specs, techniques })),
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
  pointed,
  onPoint,
  asked,
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
  readonly pointed: Pointed | undefined;
  readonly onPoint: (pointed: Pointed | undefined) => void;
  readonly asked: Asked | undefined;
}) {
  const { compose } = changes;
  const { remove, mirror, mirrorSide, loosen } = useMemo(
    () => knowingChanges(compose, atHand),
    [compose, atHand],
  );
  const { uses } = resolved;
  const typed = new Map(composition.uses.map((use) => [use.id, use]));
  const followedBy = (id: string | undefined) => {
    const original = uses.find(({ use }) => use.id === id);
    return original && namedApart(original, uses);
  };
  const last = composition.uses.at(-1)?.id;
  const oneSided = uses.filter(({ use }) => canMirror(use.id, resolved));
  return (
    <>
      {isWholeSide(oneSided, uses) && (
        <button type="button" className="btn" onClick={mirrorSide}>
          <FlipHorizontal2 size={18} aria-hidden="true" /> Mirror the whole side
        </button>
      )}
      {uses.length > 1 && (
        <RepeatUses composition={composition} resolved={resolved} atHand={atHand} onRepeat={changes.swap} />
      )}
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
                pointed={pointed?.use === use.id ? pointed.said : undefined}
                onPoint={onPoint}
                asked={asked?.use === use.id ? asked.times : 0}
                isFresh={use.id === last && !there.has(use.id)}
                follows={followedBy(use.mirrors)}
                onMirror={oneSided.includes(each) ? mirror : undefined}
                onCutLoose={loosen}
                onEarlier={index > 0 ? changes.earlier : undefined}
                onLater={index < uses.length - 1 ? changes.later : undefined}
              />
            )
          );
        })}
      </div>
    </>
  );
}

/** Whether more than one act stands on one side alone: several, or one that others go on from. */
const isWholeSide = (oneSided: readonly ResolvedUse[], uses: readonly ResolvedUse[]): boolean =>
  oneSided.length > 1 ||
  oneSided.some(({ use: { id } }) =>
    uses.some(({ use: { takes } }) => refsOf(takes).some((ref) => leaverOf(ref) === id)),
  );
