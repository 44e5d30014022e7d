'use client';

import { Link, PlaceLink } from './Link';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import {
  Boxes,
  Hammer,
  KeyRound,
  Layers,
  Moon,
  NotebookPen,
  Rows3,
  ScrollText,
  Search,
  Sun,
  User,
} from 'lucide-react';
import { CommandBox } from './CommandBox';
import { useLengths } from './lengths';
import { remember } from './remember';
import { DEEDS, isWithin, openTo, PLACES, type Place } from './places';
import { setKeysOff, useKeys, type Shortcut } from './useKeys';

/** The list of keys comes when it is asked for. */
const ShortcutList = dynamic(() => import('./ShortcutList').then((loaded) => loaded.ShortcutList), {
  ssr: false,
});

/** Keys that no word begins with. */
const FRAME = { inSearch: ['/', '?'], isFrame: true };

const ICONS: Readonly<Record<string, typeof Rows3>> = {
  '/rack': Rows3,
  '/patterns': ScrollText,
  '/batches': Boxes,
  '/bench': Hammer,
  '/shelf': Layers,
  '/logbook': NotebookPen,
  '/rules': KeyRound,
};

/** What a place is drawn as where there is little room. */
function PlaceIcon({ href }: { href: string }) {
  const Icon = ICONS[href];
  return Icon ? <Icon size={20} aria-hidden="true" /> : null;
}

interface ShellProps {
  readonly studioName: string;
  readonly personName: string;
  readonly isOwner: boolean;
  readonly theme: 'light' | 'dark' | null;
  /** Whether this browser takes no single keys for shortcuts. */
  readonly keysAreOff: boolean;
  readonly signOut: () => Promise<void>;
  readonly go: (href: string) => void;
  readonly children: ReactNode;
}

/** The frame of every page inside the studio: the bench edge with its places, the command box, the shortcuts. */
export function Shell({
  studioName,
  personName,
  isOwner,
  theme,
  keysAreOff,
  signOut,
  go,
  children,
}: ShellProps) {
  const path = usePathname();
  const { system, toggle } = useLengths();
  const [finding, setFinding] = useState(false);
  const [listing, setListing] = useState(false);
  const dark = useTheme(theme);
  const places = openTo(isOwner, PLACES);
  const keys = useKeysWanted(keysAreOff);

  const shortcuts: Shortcut[] = [
    { keys: '/', does: 'Find any wire, pattern or piece', run: () => setFinding(true) },
    { keys: '?', does: 'Show these shortcuts', run: () => setListing(true) },
    { keys: 'u', does: 'Inches or millimetres', run: toggle },
    ...places.map(({ key, name, href }): Shortcut => ({
      keys: key,
      does: `Go to the ${name.toLowerCase()}`,
      run: () => go(href),
    })),
    ...openTo(isOwner, DEEDS).flatMap(({ key, name, href }): Shortcut[] =>
      key === undefined ? [] : [{ keys: key, does: name, run: () => go(href) }],
    ),
  ];
  useKeys(shortcuts, FRAME);
  const close = useCallback(() => setFinding(false), []);
  const isHere = (place: Place) => isWithin(path, place);

  return (
    <div className="min-h-dvh pb-20 md:pb-8 print:min-h-0 print:pb-0">
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
                <PlaceIcon href={place.href} />
                <span className="max-w-full truncate px-0.5">{place.short ?? place.name}</span>
              </PlaceLink>
            </li>
          ))}
        </ul>
      </nav>
      <CommandBox open={finding} onClose={close} go={go} isOwner={isOwner} />
      {listing && (
        <ShortcutList
          onClose={() => setListing(false)}
          shortcuts={shortcuts}
          areOn={keys.on}
          onSwitch={keys.toggle}
        />
      )}
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

/** Whether single keys are shortcuts on this browser, and the switch for it. */
function useKeysWanted(keptOff: boolean): { on: boolean; toggle: () => void } {
  const [off, setOff] = useState(keptOff);
  useEffect(() => setKeysOff(off), [off]);
  const toggle = () => {
    remember('keys', off ? 'on' : 'off');
    setOff(!off);
  };
  return { on: !off, toggle };
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
