'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { tag } from '@/core/tag';
import type { PatternBase } from '@/studio/patterns/writePattern';
import { useCurrency } from '@/ui/currency';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { composePatternAction } from '../actions';
import type { PatternDraft } from './patternDraft';
import type { Draft } from './useDraft';

/** Hangs the pattern in the room, or keeps its next revision. */
export function useKeeping(
  base: PatternBase | null,
  draft: Draft<PatternDraft>,
): { readonly busy: boolean; readonly problem: string; readonly keep: () => void } {
  const router = useRouter();
  const toast = useToast();
  const currency = useCurrency();
  const { busy, problem, run } = useAct();
  const [sent, setSent] = useState<{ readonly key: string; readonly of: PatternDraft }>();
  const keep = () => {
    // Sent again as it was, it is posted once; changed, it is another form.
    const key = sent?.of === draft.now ? sent.key : newKey();
    setSent({ key, of: draft.now });
    const { parts, ...rest } = draft.now;
    const priced = parts.map((part) => ({
      ...part,
      unitCost: part.unitCost.trim() === '' ? '' : `${part.unitCost} ${currency}`,
    }));
    void run(
      () => composePatternAction(key, base, { ...rest, parts: priced }),
      ({ number, revision }) => {
        draft.forget();
        toast(revision === 1 ? `Saved as ${tag('pattern', number)}.` : `Kept as revision ${revision}.`);
        router.push(`/patterns/${tag('pattern', number)}`);
      },
    );
  };
  return { busy, problem, keep };
}
