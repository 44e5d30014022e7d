'use client';

import { useState } from 'react';
import { OFFLINE, type FormProblem } from './form/problem';

type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problem: Pick<FormProblem, 'message'> };

export interface Act {
  readonly busy: boolean;
  /** What went wrong last; empty when nothing did. */
  readonly problem: string;
  readonly setProblem: (sentence: string) => void;
  /** Runs something that the studio does, and what follows when it was taken. */
  readonly run: <T>(work: () => Promise<Answer<T>>, then: (value: T) => void) => Promise<void>;
}

/** An act without a form: a button that asks the studio for something, is shut meanwhile, and says what went wrong. */
export function useAct(): Act {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  return {
    busy,
    problem,
    setProblem,
    run: async (work, then) => {
      setBusy(true);
      setProblem('');
      try {
        const answer = await work();
        if (answer.ok) then(answer.value);
        else setProblem(answer.problem.message);
      } catch {
        setProblem(OFFLINE.message);
      } finally {
        setBusy(false);
      }
    },
  };
}
