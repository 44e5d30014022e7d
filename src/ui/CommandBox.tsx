'use client';

import { useEffect, useMemo, useState } from 'react';
import { pathOf, readTag } from '@/core/tag';
import { Dialog } from './Dialog';

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

const ACTS: readonly (Entry & { ownerOnly?: boolean })[] = [
  { tag: 'do', name: 'Receive wire', href: '/rack/receive', ownerOnly: true },
  { tag: 'do', name: 'Receive beads', href: '/beads/receive', ownerOnly: true },
  { tag: 'do', name: 'Receive a stone', href: '/stones/receive', ownerOnly: true },
  { tag: 'do', name: 'Receive findings', href: '/findings/receive', ownerOnly: true },
  { tag: 'do', name: 'Make findings', href: '/findings/make' },
  { tag: 'do', name: 'Receive a supply', href: '/supplies/receive', ownerOnly: true },
  { tag: 'do', name: 'Count a place', href: '/counts' },
  { tag: 'do', name: 'Print labels', href: '/labels' },
  { tag: 'go', name: 'Stockroom at a glance', href: '/stock' },
  { tag: 'go', name: 'Beads', href: '/beads' },
  { tag: 'go', name: 'Stones', href: '/stones' },
  { tag: 'go', name: 'Findings', href: '/findings' },
  { tag: 'go', name: 'Supplies', href: '/supplies' },
  { tag: 'go', name: 'Scrap jars', href: '/jars' },
  { tag: 'go', name: 'Which wire passes which hole', href: '/fit' },
  { tag: 'go', name: 'To buy', href: '/to-buy' },
  { tag: 'go', name: 'Ledger', href: '/ledger' },
  { tag: 'go', name: 'Metal prices', href: '/metal', ownerOnly: true },
  { tag: 'go', name: 'Lists in and out', href: '/lists', ownerOnly: true },
  { tag: 'go', name: 'How much wire it takes', href: '/how-much' },
  { tag: 'go', name: 'Fitting: which patterns suit a stone', href: '/fitting' },
  { tag: 'do', name: 'Compose a pattern', href: '/patterns/compose', ownerOnly: true },
  { tag: 'go', name: 'Programs and tokens', href: '/rules/programs', ownerOnly: true },
  { tag: 'do', name: 'Write a new pattern', href: '/patterns/new', ownerOnly: true },
  { tag: 'do', name: 'Make a piece at the bench', href: '/bench' },
  { tag: 'go', name: 'Wire rack', href: '/rack' },
  { tag: 'go', name: 'Pattern room', href: '/patterns' },
  { tag: 'go', name: 'Shelf', href: '/shelf' },
  { tag: 'go', name: 'House rules', href: '/rules', ownerOnly: true },
];

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
  const acts = useMemo(
    () =>
      ACTS.filter(
        ({ name, ownerOnly }) =>
          (isOwner || !ownerOnly) && name.toLowerCase().includes(text.trim().toLowerCase()),
      ),
    [isOwner, text],
  );
  const entries = [...found, ...acts];
  const chosen = Math.min(at, entries.length - 1);
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
      <ul id="found" role="listbox" aria-label="Found" className="mt-3 max-h-[55vh] overflow-y-auto">
        {entries.map((entry, index) => (
          <li
            key={`${entry.href} ${entry.tag}`}
            id={`found-${index}`}
            role="option"
            aria-selected={index === chosen}
            onMouseEnter={() => setAt(index)}
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
