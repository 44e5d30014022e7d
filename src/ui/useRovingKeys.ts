'use client';

import { useEffect, type RefObject } from 'react';
import { keysAreOff } from './useKeys';

/** Lets j/k and the arrow keys walk over the links of a list, beside Tab. */
export function useRovingKeys(container: RefObject<HTMLElement | null>, selector: string): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const list = container.current;
      const step = { ArrowDown: 1, ArrowUp: -1, j: 1, k: -1 }[event.key];
      if (!list || step === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key.length === 1 && keysAreOff()) return;
      const items = [...list.querySelectorAll<HTMLElement>(selector)];
      const now = items.findIndex((item) => item === document.activeElement);
      const free = document.activeElement === document.body && (event.key === 'j' || event.key === 'k');
      if (now < 0 && !free) return;
      event.preventDefault();
      items[Math.max(0, Math.min(items.length - 1, now + step))]?.focus();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [container, selector]);
}
