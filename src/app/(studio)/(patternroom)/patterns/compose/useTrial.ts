'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { tried, type Trial } from '@/core/pattern/goneOn';
import { fetchTechnique } from '@/core/techniques/fetchTechnique';
import type { Offer } from '@/core/technique/joinActs';
import { takesFor, type GoingOn } from '@/core/plan/takesFor';
import type { AnyTechnique } from '@/core/technique/technique';
import { NOT_FETCHED } from '@/ui/craft/useTechniques';
import { useToast } from '@/ui/toasts';
import type { Work } from './work';

/** What was chosen to be tried, and the technique once it is there. */
interface Chosen {
  readonly id: string;
  readonly technique?: AnyTechnique;
}

/**
 * Tries a technique on what was picked, before it is added.
 * @param able what goes on from that; what is not among them is tried no more
 */
export function useTrial(
  { composition, resolved, atHand }: Work,
  picked: readonly Offer[],
  able: readonly GoingOn[],
): {
  readonly trying: string;
  readonly trial: Trial | undefined;
  readonly onTry: (id: string) => void;
  /** Tries nothing any more. */
  readonly onStop: () => void;
} {
  const toast = useToast();
  const [chosen, setChosen] = useState<Chosen>();
  const offered = picked.length > 0 ? able.find(({ id }) => id === chosen?.id) : undefined;
  const technique = useDeferredValue(offered && chosen?.technique);
  const trial = useMemo(
    () =>
      offered && technique?.id === offered.id
        ? tried(resolved, composition, technique, takesFor(offered, picked), atHand)
        : undefined,
    [offered, technique, resolved, composition, picked, atHand],
  );
  const onTry = (id: string) => {
    setChosen({ id });
    void fetchTechnique(id).then(
      (fetched) => setChosen((now) => (now?.id === id ? { id, technique: fetched } : now)),
      () => toast(NOT_FETCHED),
    );
  };
  return { trying: offered?.id ?? '', trial, onTry, onStop: () => setChosen(undefined) };
}
