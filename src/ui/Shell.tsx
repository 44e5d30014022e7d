'use client';

import { Link, PlaceLink } from './Link';
import { usePathname } from 'next/navigation';
import { useCallback, useState, useSyncExternalStore, type ReactNode } from 'react';
import { Boxes, Hammer, KeyRound, Layers, Moon, Rows3, ScrollText, Search, Sun, User } from 'lucide-react';
import { CommandBox } from './CommandBox';
import { useLengths } from './lengths';
import { remember } from './remember';
import { ShortcutList } from './ShortcutList';
import { useKeys, type Shortcut } from './useKeys';

/** A place in the studio, in the order of the work. */
export interface Place {
  readonly href: string;
  readonly name: string;
  /** Its name where there is little room. */
  readonly short?: string;
  readonly key: string;
  readonly icon: typeof Rows3;
  readonly ownerOnly?: boolean;
  /** Addresses of its parts. */
  readonly parts?: readonly string[];
}

export const PLACES: readonly Place[] = [
  {
    href: '/rack',
    name: 'Stockroom',
    key: '1',
    icon: Rows3,
    parts: [
      '/stock',
      '/beads',
      '/stones',
      '/findings',
      '/supplies',
      '/jars',
      '/fit',
      '/counts',
      '/to-buy',
      '/labels',
      '/ledger',
      '/metal',
      '/lists',
    ],
  },
  {
    href: '/patterns',
    name: 'Pattern room',
    short: 'Patterns',
    key: '2',
    icon: ScrollText,
    parts: ['/fitting', '/how-much'],
  },
  { href: '/batches', name: 'Batches', key: '3', icon: Boxes },
  { href: '/bench', name: 'Bench', key: '4', icon: Hammer },
  { href: '/shelf', name: 'Shelf', key: '5', icon: Layers },
  { href: '/rules', name: 'House rules', short: 'Rules', key: '6', icon: KeyRound, ownerOnly: true },
];

interface ShellProps {
  readonly studioName: string;
  readonly personName: string;
  readonly isOwner: boolean;
  readonly theme: 'light' | 'dark' | null;
  readonly signOut: () => Promise<void>;
  readonly go: (href: string) => void;
  readonly children: ReactNode;
}

/** The frame of every page inside the studio: the bench edge with its places, the command box, the shortcuts. */
export function Shell({ studioName, personName, isOwner, theme, signOut, go, children }: ShellProps) {
  const path = usePathname();
  const { system, toggle } = useLengths();
  const [finding, setFinding] = useState(false);
  const [listing, setListing] = useState(false);
  const dark = useTheme(theme);
  const places = PLACES.filter(({ ownerOnly }) => isOwner || !ownerOnly);

  const shortcuts: Shortcut[] = [
    { keys: '/', does: 'Find any wire, pattern or piece', run: () => setFinding(true) },
    { keys: '?', does: 'Show these shortcuts', run: () => setListing(true) },
    { keys: 'u', does: 'Inches or millimetres', run: toggle },
    { keys: 'q', does: 'How much wire does it take?', run: () => go('/how-much') },
    ...places.map(({ key, name, href }): Shortcut => ({
      keys: key,
      does: `Go to the ${name.toLowerCase()}`,
      run: () => go(href),
    })),
    ...(isOwner
      ? [
          { keys: 'r', does: 'Receive wire', run: () => go('/rack/receive') },
          { keys: 'n', does: 'Write a new pattern', run: () => go('/patterns/new') },
        ]
      : []),
  ];
  useKeys(shortcuts);
  const close = useCallback(() => setFinding(false), []);
  const isHere = ({ href, parts = [] }: Place) =>
    [href, ...parts].some((each) => path === each || path.startsWith(`${each}/`));

  return (
    <div className="min-h-dvh pb-20 md:pb-8">
      <a href="#main" className="btn btn-primary sr-only focus:not-sr-only focus:absolute focus:z-50">
        Skip to the page
      </a>
      <header className="no-print border-b border-base-300 bg-base-100">
        <div className="mx-auto flex max-w-[1800px] items-center gap-x-1 px-3 pt-2 sm:gap-x-4 md:px-6">
          <div className="min-w-0 leading-tight">
            <p className="font-display text-lg font-bold tracking-tight">Pewterer</p>
            <p className="muted max-w-48 truncate text-sm">{studioName}</p>
          </div>
          <button
            type="button"
            className="input ml-auto w-11 cursor-pointer justify-center gap-2 sm:w-64 sm:justify-start"
            onClick={() => setFinding(true)}
          >
            <Search size={17} aria-hidden="true" />
            <span className="sr-only sm:not-sr-only">Find anything</span>
            <kbd className="kbd kbd-sm ml-auto hidden sm:inline-flex">/</kbd>
          </button>
          <button
            type="button"
            className="btn btn-ghost px-2"
            onClick={toggle}
            title="Show lengths the other way (u)"
          >
            <span className="sr-only">Lengths in</span>
            {system === 'in' ? 'inches' : 'metric'}
          </button>
          <button type="button" className="btn btn-ghost px-2" onClick={dark.toggle}>
            {dark.on ? <Sun size={18} aria-hidden="true" /> : <Moon size={18} aria-hidden="true" />}
            <span className="max-sm:sr-only">{dark.on ? 'Light' : 'Dark'}</span>
          </button>
          <details className="dropdown dropdown-end">
            <summary className="btn btn-ghost px-2">
              <User size={18} aria-hidden="true" className="sm:hidden" />
              <span className="max-sm:sr-only">{personName}</span>
            </summary>
            <ul className="dropdown-content menu leaf z-40 w-56 shadow-lg">
              <li>
                <Link href="/account">Change password</Link>
              </li>
              <li>
                <button type="button" onClick={() => setListing(true)}>
                  Keyboard shortcuts
                </button>
              </li>
              <li>
                <form action={signOut} className="p-0">
                  <button type="submit" className="w-full px-3 py-1.5 text-left">
                    Sign out
                  </button>
                </form>
              </li>
            </ul>
          </details>
        </div>
        <nav aria-label="Places" className="mx-auto hidden max-w-[1800px] px-6 md:block">
          <ul className="flex gap-8">
            {places.map((place) => (
              <li key={place.key}>
                <PlaceLink
                  href={place.href}
                  aria-current={isHere(place) ? 'page' : undefined}
                  className={`flex items-baseline gap-1.5 border-b-4 pt-2 pb-1 font-display ${isHere(place) ? 'border-primary font-semibold' : 'border-transparent hover:border-base-300'}`}
                >
                  {place.name}
                  <span className="muted text-xs" aria-hidden="true">
                    {place.key}
                  </span>
                </PlaceLink>
              </li>
            ))}
          </ul>
        </nav>
        <BenchEdge />
      </header>
      <main id="main" className="mx-auto max-w-[1800px] px-3 py-4 md:px-6 print:p-0">
        {children}
      </main>
      <nav
        aria-label="Places"
        className="no-print fixed inset-x-0 bottom-0 z-30 border-t border-base-300 bg-base-100 md:hidden"
      >
        <ul className="flex">
          {places.map((place) => (
            <li key={place.key} className="min-w-0 flex-1">
              <PlaceLink
                href={place.href}
                aria-current={isHere(place) ? 'page' : undefined}
                className={`flex h-14 flex-col items-center justify-center text-xs ${isHere(place) ? 'border-t-4 border-primary font-semibold' : ''}`}
              >
                <place.icon size={20} aria-hidden="true" />
                <span className="max-w-full truncate px-0.5">{place.short ?? place.name}</span>
              </PlaceLink>
            </li>
          ))}
        </ul>
      </nav>
      <CommandBox open={finding} onClose={close} go={go} isOwner={isOwner} />
      <ShortcutList open={listing} onClose={() => setListing(false)} shortcuts={shortcuts} />
    </div>
  );
}

/** The ruled edge of the bench that runs through every page: a tick each screen millimetre. */
function BenchEdge() {
  return (
    <svg width="100%" height="11" aria-hidden="true" className="block text-base-content">
      <defs>
        <pattern id="bench-edge" width="10mm" height="11" patternUnits="userSpaceOnUse">
          <path d="M0.5 11V1" stroke="currentColor" strokeOpacity="0.55" />
          {[1, 2, 3, 4, 6, 7, 8, 9].map((tick) => (
            <line
              key={tick}
              x1={`${tick}mm`}
              x2={`${tick}mm`}
              y1="11"
              y2="7"
              stroke="currentColor"
              strokeOpacity="0.35"
            />
          ))}
          <line x1="5mm" x2="5mm" y1="11" y2="4.5" stroke="currentColor" strokeOpacity="0.45" />
        </pattern>
      </defs>
      <rect width="100%" height="11" fill="url(#bench-edge)" />
    </svg>
  );
}

const DARK = '(prefers-color-scheme: dark)';

function followSystem(changed: () => void): () => void {
  const query = window.matchMedia(DARK);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Light or dark: as kept on this browser, else as the system says. */
function useTheme(kept: 'light' | 'dark' | null): { on: boolean; toggle: () => void } {
  const [chosen, setChosen] = useState(kept);
  const systemIsDark = useSyncExternalStore(
    followSystem,
    () => window.matchMedia(DARK).matches,
    () => false,
  );
  const on = chosen === null ? systemIsDark : chosen === 'dark';
  const toggle = () => {
    const next = on ? 'light' : 'dark';
    remember('theme', next);
    document.documentElement.dataset['theme'] = next === 'dark' ? 'pewter-dark' : 'pewter';
    setChosen(next);
  };
  return { on, toggle };
}
