'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { pathOf, readTag } from '@/core/tag';
import { Dialog } from './Dialog';
import { placesByName } from './places';

interface Entry {
  readonly tag: string;
  readonly name: string;
  readonly href: string;
}

interface CommandBoxProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly go: (href: string) => void;
  readonly isOwner: boolean;
}

const PAUSE_MS = 120;

/** One box that finds any wire, pattern, piece or act, by tag or words; driven by arrows and Enter. */
export function CommandBox({ open, onClose, go, isOwner }: CommandBoxProps) {
  return (
    <Dialog open={open} onClose={onClose} label="Find anything">
      <Finder onClose={onClose} go={go} isOwner={isOwner} />
    </Dialog>
  );
}

function Finder({ onClose, go, isOwner }: Omit<CommandBoxProps, 'open'>) {
  const [text, setText] = useState('');
  const { found, state } = useFound(text);
  const [at, setAt] = useState(0);
  const acts = useMemo(() => {
    const wanted = text.toLowerCase().split(/\s+/);
    return placesByName(isOwner)
      .filter(({ name }) => wanted.every((word) => name.toLowerCase().includes(word)))
      .map(({ is, ...entry }): Entry => ({ tag: is, ...entry }));
  }, [isOwner, text]);
  const entries = [...found, ...acts];
  const chosen = Math.min(at, entries.length - 1);
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [chosen, entries.length]);
  const open = (entry: Entry | undefined) => {
    if (!entry) return;
    onClose();
    go(entry.href);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      setAt((entries.length + chosen + step) % Math.max(1, entries.length));
    }
    if (event.key !== 'Enter') return;
    // A scanner types a tag and Enter faster than anything is found: the tag says enough.
    const scanned = entries[chosen]?.tag === text.trim().toUpperCase() ? undefined : readTag(text);
    if (scanned) open({ tag: text, name: text, href: pathOf(scanned.kind, scanned.number) });
    else open(entries[chosen]);
  };
  return (
    <>
      <input
        autoFocus
        role="combobox"
        aria-label="Find anything"
        aria-expanded="true"
        aria-controls="found"
        aria-activedescendant={entries.length > 0 ? `found-${chosen}` : undefined}
        className="input input-lg w-full"
        placeholder="W-0042, 20 ga sterling, a pattern’s name …"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKeyDown}
      />
      <ul
        ref={list}
        id="found"
        role="listbox"
        aria-label="Found"
        className="mt-3 max-h-[55vh] overflow-y-auto"
      >
        {entries.map((entry, index) => (
          <li
            key={`${entry.href} ${entry.tag}`}
            id={`found-${index}`}
            role="option"
            aria-selected={index === chosen}
            onMouseMove={() => index !== chosen && setAt(index)}
            onClick={() => open(entry)}
            className={`flex min-h-11 cursor-pointer items-center gap-3 px-2 ${index === chosen ? 'bg-base-300' : ''}`}
          >
            <span className="muted w-16 shrink-0">{entry.tag}</span>
            {entry.name}
          </li>
        ))}
      </ul>
      <p className="muted mt-2 text-sm" role="status">
        {state === 'failed' && 'The studio cannot be reached just now.'}
        {state === 'done' && entries.length === 0 && `Nothing is called “${text.slice(0, 60)}” here.`}
      </p>
    </>
  );
}

/** Asks the studio while somebody types, a moment after each key; late answers to older questions are dropped. */
function useFound(text: string): { found: readonly Entry[]; state: 'idle' | 'done' | 'failed' } {
  const [answer, setAnswer] = useState<{ text: string; found: readonly Entry[]; state: 'done' | 'failed' }>();
  useEffect(() => {
    if (text.trim() === '') return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetch(`/api/find?q=${encodeURIComponent(text)}`, { signal: stop.signal })
        .then((response) =>
          response.ok
            ? (response.json() as Promise<Entry[]>)
            : Promise.reject(new Error(String(response.status))),
        )
        .then((found) => setAnswer({ text, found, state: 'done' }))
        .catch(() => stop.signal.aborted || setAnswer({ text, found: [], state: 'failed' }));
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text]);
  if (text.trim() === '' || !answer) return { found: [], state: 'idle' };
  return { found: answer.found, state: answer.text === text ? answer.state : 'idle' };
}
