'use client';

import { useEffect, useState, type RefObject } from 'react';
import type { ChoiceHandle } from '@/core/plan/foundHandles';
import { Shaping, type ToShape } from '@/core/plan/handles';
import type { Handle } from '@/core/plan/pulls';
import type { Values } from '@/core/parameter/readValues';

/** A use that is shaped by hand, and its handles as far as they were found. */
export interface Shaped {
  /** What it was worked out of: another object when anything changed. */
  readonly of: ToShape;
  readonly values: Values;
  readonly shaping: Shaping;
  readonly handles: readonly Handle[];
  readonly choices: readonly ChoiceHandle[];
}

/** So long it is waited for what is still to come. */
const MOVING_MS = 30;

/**
 * The handles of a use, found one after the other while nothing else is to be done; those of before stay until then.
 * @param asked the same object as long as nothing changed; undefined when nothing is shaped
 * @param isMoving whether it was changed since, and that is still to come: handles that stand where it was in between would be moved from there
 */
export function useHandles(asked: ToShape | undefined, isMoving?: RefObject<boolean>): Shaped | undefined {
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
        if (other?.done) show();
        else timer = setTimeout(next);
      };
      const show = () => {
        if (isMoving?.current) timer = setTimeout(show, MOVING_MS);
        else setFound({ of: asked, values: shaping.values, shaping, handles, choices });
      };
      next();
    };
    let timer = setTimeout(begin);
    return () => clearTimeout(timer);
  }, [asked, isMoving]);
  return found?.of.id === asked?.id ? found : undefined;
}
