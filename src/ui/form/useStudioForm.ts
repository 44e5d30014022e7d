'use client';

import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useCallback, useEffect, useState } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldPath,
  type FieldValues,
  type UseFormReturn,
} from 'react-hook-form';
import { newKey } from '../newKey';
import { gentle } from './gentle';
import { useTyped, type TypedBefore } from './useTyped';
import { OFFLINE, type FormProblem } from './problem';

type Answer<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: FormProblem };

export interface StudioFormOptions<Values extends FieldValues, T> {
  /** Validates in the browser what the use case validates on the server. */
  readonly input: new () => Values;
  readonly defaultValues: DefaultValues<NoInfer<Values>>;
  /** Sends the form under its key. */
  readonly send: (postKey: string, values: Values) => Promise<Answer<T>>;
  readonly onDone: (value: T) => void;
  /** Tells it from other forms of its page that ask for the same; null when what is typed is not to be kept. */
  readonly typedFor?: string | null;
}

export interface StudioForm<Values extends FieldValues> {
  readonly form: UseFormReturn<Values>;
  readonly submit: (event?: React.BaseSyntheticEvent) => Promise<void>;
  readonly problem: FormProblem | undefined;
  readonly sending: boolean;
  /** What was typed on an earlier visit. */
  readonly before: TypedBefore;
}

/**
 * A form of the house: validated by the use case's own input class, posted at most once, and left as it was typed whenever
 * something is wrong. The key stays the same until the form was taken, so that sending again after a lost answer is safe;
 * it changes when the values change after a refusal.
 */
export function useStudioForm<Values extends FieldValues, T>(
  options: StudioFormOptions<Values, T>,
): StudioForm<Values> {
  const { input, defaultValues, send, onDone, typedFor = '' } = options;
  const [{ resolver, follow }] = useState(() => gentle<Values>(classValidatorResolver(input)));
  const form = useForm<Values>({ resolver, defaultValues, mode: 'onTouched' });
  const { getFieldState } = form;
  useEffect(
    () => follow((path) => getFieldState(path as FieldPath<Values>).isTouched),
    [follow, getFieldState],
  );
  const [postKey, setPostKey] = useState('');
  const [problem, setProblem] = useState<FormProblem>();
  const [sending, setSending] = useState(false);
  const { handleSubmit, setError } = form;
  const { forget, ...before } = useTyped(form, defaultValues, typedFor);

  const take = useCallback(
    async (values: Values) => {
      const key = postKey === '' ? newKey() : postKey;
      setPostKey(key);
      setSending(true);
      setProblem(undefined);
      try {
        const answer = await send(key, JSON.parse(JSON.stringify(values)) as Values);
        if (answer.ok) {
          setPostKey('');
          forget();
          onDone(answer.value);
          return;
        }
        // A fault may have been posted after all: only then is the key kept for another try.
        if (answer.problem.kind !== 'fault') setPostKey('');
        setProblem(answer.problem);
        const entries = Object.entries(answer.problem.fields ?? {});
        entries.forEach(([name, message], index) =>
          setError(name as FieldPath<Values>, { type: 'server', message }, { shouldFocus: index === 0 }),
        );
      } catch {
        setProblem(OFFLINE);
      } finally {
        setSending(false);
      }
    },
    [forget, onDone, postKey, send, setError],
  );

  // Once the network is back, that it was away is no news.
  useEffect(() => {
    const onBack = () => setProblem((now) => (now === OFFLINE ? undefined : now));
    window.addEventListener('online', onBack);
    return () => window.removeEventListener('online', onBack);
  }, []);

  const submit = useCallback(
    (event?: React.BaseSyntheticEvent) =>
      handleSubmit(take, () =>
        setProblem({ kind: 'invalid', message: 'Something is not right yet; it is marked in red.' }),
      )(event),
    [handleSubmit, take],
  );
  return { form, submit, problem, sending, before };
}
