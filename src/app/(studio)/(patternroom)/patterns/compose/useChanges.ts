import { useMemo } from 'react';
import { withoutUse, withUse, withUseAt } from '@/core/pattern/changes';
import type { Composition, TechniqueUse } from '@/core/pattern/composition';
import type { AtHand } from '@/core/pattern/goneOn';
import { cutLoose, withMirrored } from '@/core/pattern/mirrored';
import { resolve } from '@/core/pattern/resolve';
import type { Texts } from '@/core/technique/readTexts';
import type { PatternDraft } from './patternDraft';
import type { Draft } from './useDraft';

type Change = Draft<PatternDraft>['change'];

/** Changes that need no more than what stands there. */
function plainChanges(change: Change) {
  /** @param label changes of one label that follow each other are taken back together */
  const compose = (next: (before: Composition) => Composition, label = '') =>
    change((before) => ({ ...before, composition: next(before.composition) }), label);
  const moveUse = (id: string, by: number) =>
    compose((before) => withUseAt(before, id, before.uses.findIndex((use) => use.id === id) + by));
  return {
    compose,
    setMeasures: (texts: Texts, label = '') =>
      compose((before) => ({ ...before, measures: { ...before.measures, ...texts } }), label),
    changeUse: (id: string, next: Partial<TechniqueUse>, label: string) =>
      compose((before) => withUse(before, id, next), label),
    shape: (id: string, texts: Texts, label: string) =>
      compose(
        (before) =>
          withUse(before, id, { texts: { ...before.uses.find((use) => use.id === id)?.texts, ...texts } }),
        label && `${id}.${label}`,
      ),
    earlier: (id: string) => moveUse(id, -1),
    later: (id: string) => moveUse(id, 1),
    swap: (next: Composition) => compose(() => next),
    changeParts: (next: (parts: PatternDraft['parts']) => PatternDraft['parts'], label?: string) =>
      change((before) => ({ ...before, parts: next(before.parts) }), label),
  };
}

/** Changes that need to know what techniques do. */
function knowingChanges(compose: ReturnType<typeof plainChanges>['compose'], { specs, techniques }: AtHand) {
  return {
    removeUse: (id: string) => compose((before) => withoutUse(cutLoose(before, id, techniques), id)),
    mirror: (id: string) =>
      compose((before) => {
        const both = withMirrored(before, id, resolve(before, specs, techniques));
        return both.ok ? both.value : before;
      }),
    loosen: (id: string) => compose((before) => cutLoose(before, id, techniques)),
  };
}

/** Everything that is done to a pattern while it is composed; the same functions for long, so that what they are handed to need not be drawn anew. */
export function useChanges(change: Change, atHand: AtHand) {
  const plain = useMemo(() => plainChanges(change), [change]);
  const knowing = useMemo(() => knowingChanges(plain.compose, atHand), [plain, atHand]);
  return { ...plain, ...knowing };
}
