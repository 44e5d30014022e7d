'use client';

import { Link } from './Link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { openTo, type Place } from './places';

/** The way from each part of a place to the others. */
export function PartsNav({ place: { name: label, parts }, isOwner }: { place: Place; isOwner: boolean }) {
  const path = usePathname();
  const list = useRef<HTMLUListElement>(null);
  // On a phone the part one is in may lie beyond the edge.
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [path]);
  return (
    <nav aria-label={label} className="no-print -mx-1 mb-3 overflow-x-auto">
      <ul ref={list} className="flex gap-1">
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
