'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { DefaultValues, FieldPath, FieldPathValue, FieldValues, UseFormReturn } from 'react-hook-form';
import { changedSince, readTyped, type Typed } from './typed';

/** What was typed into a form on an earlier visit. */
export interface TypedBefore {
  /** Whether it was put back. */
  readonly isBack: boolean;
  /** Forgets it and shows the form as it opens. */
  readonly startAnew: () => void;
}

const PAUSE_MS = 250;

/**
 * Keeps what is typed into a form in this tab until it is sent: over a reload, the way back, and a click away.
 * @param of tells forms of one page apart that ask for the same; null keeps nothing
 */
export function useTyped<Values extends FieldValues>(
  { setValue, getValues, reset, subscribe }: UseFormReturn<Values>,
  defaultValues: DefaultValues<Values>,
  of: string | null,
): TypedBefore & { readonly forget: () => void } {
  const [isBack, setBack] = useState(false);
  const [opened] = useState(() => JSON.parse(JSON.stringify(defaultValues)) as Typed);
  const key = useRef('');
  const sent = useRef<string>(undefined);
  useEffect(() => {
    if (of === null) return;
    const fields = Object.keys(opened).sort().join(' ');
    key.current = `typed ${window.location.pathname}${window.location.search} ${of} ${fields}`;
    const at = key.current;
    const before = Object.entries(readTyped(window.sessionStorage.getItem(at), opened));
    for (const [field, value] of before)
      setValue(field as FieldPath<Values>, value as FieldPathValue<Values, FieldPath<Values>>, {
        shouldDirty: true,
      });
    if (before.length > 0) queueMicrotask(() => setBack(true));

    let timer: ReturnType<typeof setTimeout> | undefined;
    const keep = () => {
      clearTimeout(timer);
      timer = undefined;
      if (JSON.stringify(getValues()) === sent.current) return;
      const typed = changedSince(opened, getValues());
      if (Object.keys(typed).length === 0) window.sessionStorage.removeItem(at);
      else window.sessionStorage.setItem(at, JSON.stringify(typed));
    };
    const stop = subscribe({
      formState: { values: true },
      callback: () => {
        clearTimeout(timer);
        timer = setTimeout(keep, PAUSE_MS);
      },
    });
    const leave = () => timer !== undefined && keep();
    window.addEventListener('pagehide', leave);
    return () => {
      stop();
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [getValues, of, opened, setValue, subscribe]);

  const forget = useCallback(() => {
    if (key.current !== '') window.sessionStorage.removeItem(key.current);
    sent.current = JSON.stringify(getValues());
    setBack(false);
  }, [getValues]);
  const startAnew = useCallback(() => {
    if (key.current !== '') window.sessionStorage.removeItem(key.current);
    reset(defaultValues);
    setBack(false);
  }, [defaultValues, reset]);
  return { isBack, startAnew, forget };
}
