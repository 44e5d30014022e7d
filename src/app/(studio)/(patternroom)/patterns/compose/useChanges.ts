import { useMemo } from 'react';
import { withUse, withUseAt } from '@/core/pattern/changes';
import type { Composition, TechniqueUse } from '@/core/pattern/composition';
import type { Texts } from '@/core/parameter/readTexts';
import type { PatternDraft } from './patternDraft';
import type { Draft } from './useDraft';

type Change = Draft<PatternDraft>['change'];

function changesBy(change: Change) {
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

export type Changes = ReturnType<typeof changesBy>;

/**
 * What is done to a pattern while it is composed, as far as it needs no more than what stands there; the same functions for long, so that what they
 * are handed to need not be drawn anew.
 */
export const useChanges = (change: Change): Changes => useMemo(() => changesBy(change), [change]);
