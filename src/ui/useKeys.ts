'use client';

import { useEffect } from 'react';

/** A key and what it does, as the list of shortcuts shows it. */
export interface Shortcut {
  readonly keys: string;
  readonly does: string;
  readonly run: () => void;
}

/** Whether keys that are pressed there are typed into something. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Whether single keys do nothing. */
export const keysAreOff = (): boolean => areOff;

/** Whether nothing is typed into a search yet: a sign that no search begins with may act as a shortcut there. */
const isEmptySearch = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.type === 'search' && target.value === '';

let areOff = false;

/** Switches all single keys off, for who speaks to the machine or presses keys by chance (WCAG 2.1.4). */
export function setKeysOff(off: boolean): void {
  areOff = off;
}

declare global {
  interface Window {
    /** Keys that were pressed before the page listened, in their order. */
    earlyKeys?: string[];
    stopEarlyKeys?: () => void;
  }
}

const NONE: readonly string[] = [];

/** Hands over the keys that were pressed before the page listened: those of shortcuts run now, once. */
function takeEarlyKeys(shortcuts: readonly Shortcut[]): void {
  const early = window.earlyKeys ?? [];
  if (early.length === 0 || areOff || document.querySelector('dialog[open]')) return;
  const mine = early.filter((key) => shortcuts.some(({ keys }) => keys === key));
  window.earlyKeys = early.filter((each) => !mine.includes(each));
  shortcuts.find(({ keys }) => keys === mine.at(-1))?.run();
}

/**
 * Runs shortcuts on single keys, except while somebody types or a dialog is open.
 * @param inSearch keys that also act in a search that is still empty
 * @param isFrame whether they are those of every page: what a page does with a key goes before
 */
export function useKeys(
  shortcuts: readonly Shortcut[],
  { inSearch = NONE, isFrame = false }: { inSearch?: readonly string[]; isFrame?: boolean } = {},
): void {
  useEffect(() => {
    // A key comes to the document before it comes to the window.
    const heardAt = isFrame ? window : document;
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || areOff || event.ctrlKey || event.metaKey || event.altKey) return;
      if (isTyping(event.target) && !(inSearch.includes(event.key) && isEmptySearch(event.target))) return;
      if (document.querySelector('dialog[open]')) return;
      const shortcut = shortcuts.find(({ keys }) => keys === event.key);
      if (!shortcut) return;
      event.preventDefault();
      shortcut.run();
    };
    heardAt.addEventListener('keydown', onKey as EventListener);
    window.stopEarlyKeys?.();
    takeEarlyKeys(shortcuts);
    return () => heardAt.removeEventListener('keydown', onKey as EventListener);
  }, [shortcuts, inSearch, isFrame]);
}
