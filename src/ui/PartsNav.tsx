'use client';

import { Link } from './Link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { openTo, type Place } from './places';

/** The way from each part of a place to the others. */
export function PartsNav({ place: { name: label, parts }, isOwner }: { place: Place; isOwner: boolean }) {
  const path = usePathname();
  const row = useRef<HTMLElement>(null);
  // On a phone the part one is in may lie beyond the edge. Only the row moves: the page may have been scrolled by now.
  useEffect(() => {
    const here = row.current?.querySelector('[aria-current]');
    if (!row.current || !here) return;
    const [edges, at] = [row.current.getBoundingClientRect(), here.getBoundingClientRect()];
    row.current.scrollLeft += at.left + at.width / 2 - (edges.left + edges.width / 2);
  }, [path]);
  return (
    <nav ref={row} aria-label={label} className="no-print -mx-1 mb-3 overflow-x-auto">
      <ul className="flex gap-1">
        {openTo(isOwner, parts).map(({ href, name }) => {
          const here = path === href || path.startsWith(`${href}/`);
          return (
            <li key={href}>
              <Link
                href={href}
                aria-current={here ? 'page' : undefined}
                className={`flex min-h-11 items-center rounded px-2.5 whitespace-nowrap ${here ? 'bg-base-300 font-semibold' : 'hover:bg-base-300/60'}`}
              >
                {name}
              </Link>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
