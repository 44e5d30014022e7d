'use client';

import { useEffect, useState } from 'react';
import type { ChoiceHandle } from '@/core/technique/foundHandles';
import { Shaping, type ToShape } from '@/core/technique/handles';
import type { Handle } from '@/core/technique/pulls';
import type { Values } from '@/core/technique/readValues';

/** A use that is shaped by hand, and its handles as far as they were found. */
export interface Shaped {
  /** What it was worked out of: another object when anything changed. */
  readonly of: ToShape;
  readonly values: Values;
  readonly shaping: Shaping;
  readonly handles: readonly Handle[];
  readonly choices: readonly ChoiceHandle[];
}

/**
 * The handles of a use, found one after the other while nothing else is to be done; those of before stay until then.
 * @param asked the same object as long as nothing changed; undefined when nothing is shaped
 */
export function useHandles(asked: ToShape | undefined): Shaped | undefined {
  const [found, setFound] = useState<Shaped>();
  useEffect(() => {
    if (!asked) return;
    const handles: Handle[] = [];
    const choices: ChoiceHandle[] = [];
    const begin = () => {
      const made = Shaping.of(asked.uses, asked.id);
      if (!made.ok) return setFound(undefined);
      const shaping = made.value;
      const [pulls, others] = [shaping.handles(asked.keys), shaping.choices(asked.keys)];
      const next = () => {
        const pull = pulls.next();
        if (pull.value) handles.push(pull.value);
        const other = pull.done ? others.next() : undefined;
        if (other?.value) choices.push(other.value);
        if (other?.done) setFound({ of: asked, values: shaping.values, shaping, handles, choices });
        else timer = setTimeout(next);
      };
      next();
    };
    let timer = setTimeout(begin);
    return () => clearTimeout(timer);
  }, [asked]);
  return found?.of.id === asked?.id ? found : undefined;
}
