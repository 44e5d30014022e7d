'use client';

import { useEffect, useMemo, useState } from 'react';
import { pullableOf } from '@/core/pattern/pullable';
import { actUsesOf, type Resolved } from '@/core/pattern/resolve';
import { Shaping, type Handle } from '@/core/technique/handles';
import type { Values } from '@/core/technique/readValues';

/** A use that is shaped by hand, and its handles as far as they were found. */
export interface Shaped {
  /** What it was worked out of: another object when anything of the pattern changed. */
  readonly of: Resolved;
  readonly id: string;
  readonly values: Values;
  readonly shaping: Shaping;
  readonly handles: readonly Handle[];
}

/** The handles of a use, found one after the other while nothing else is to be done; those of before stay until then. */
export function useHandles(resolved: Resolved, id: string): Shaped | undefined {
  const [found, setFound] = useState<Shaped>();
  const use = resolved.uses.find((each) => each.use.id === id);
  const piece = resolved.pieces.find(({ uses }) => uses.includes(id));
  const uses = useMemo(
    () => actUsesOf(resolved.uses).filter((each) => piece?.uses.includes(each.id)),
    [resolved, piece],
  );
  useEffect(() => {
    if (!use) return;
    const handles: Handle[] = [];
    const begin = () => {
      const made = Shaping.of(uses, id);
      const values = uses.find((each) => each.id === id)?.values;
      if (!made.ok || !values) return setFound(undefined);
      const shaping = made.value;
      const coming = shaping.handles(pullableOf(use.use, use.technique));
      const next = () => {
        const { value, done } = coming.next();
        if (value) handles.push(value);
        if (done) setFound({ of: resolved, id, values, shaping, handles });
        else timer = setTimeout(next);
      };
      next();
    };
    let timer = setTimeout(begin);
    return () => clearTimeout(timer);
  }, [resolved, uses, use, id]);
  return found?.id === id ? found : undefined;
}
