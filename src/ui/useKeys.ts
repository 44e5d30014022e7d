'use client';

import { useEffect } from 'react';

/** A key and what it does, as the list of shortcuts shows it. */
export interface Shortcut {
  readonly keys: string;
  readonly does: string;
  readonly run: () => void;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Runs shortcuts on single keys, except while somebody types or a dialog is open. */
export function useKeys(shortcuts: readonly Shortcut[]): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (document.querySelector('dialog[open]')) return;
      const shortcut = shortcuts.find(({ keys }) => keys === event.key);
      if (!shortcut) return;
      event.preventDefault();
      shortcut.run();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [shortcuts]);
}
