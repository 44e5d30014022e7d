'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** The parts of the stockroom, in the order they are used. */
const PARTS: readonly { readonly href: string; readonly name: string; readonly ownerOnly?: boolean }[] = [
  { href: '/stock', name: 'At a glance' },
  { href: '/rack', name: 'Wire' },
  { href: '/beads', name: 'Beads' },
  { href: '/stones', name: 'Stones' },
  { href: '/findings', name: 'Findings' },
  { href: '/supplies', name: 'Supplies' },
  { href: '/jars', name: 'Scrap jars' },
  { href: '/fit', name: 'Fit' },
  { href: '/counts', name: 'Counting' },
  { href: '/to-buy', name: 'To buy' },
  { href: '/labels', name: 'Labels' },
  { href: '/ledger', name: 'Ledger' },
  { href: '/metal', name: 'Metal prices', ownerOnly: true },
  { href: '/lists', name: 'In and out', ownerOnly: true },
];

export function StockroomNav({ isOwner }: { isOwner: boolean }) {
  const path = usePathname();
  const list = useRef<HTMLUListElement>(null);
  // On a phone the part one is in may lie beyond the edge.
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [path]);
  return (
    <nav aria-label="Stockroom" className="no-print -mx-1 mb-3 overflow-x-auto">
      <ul ref={list} className="flex gap-1">
        {PARTS.filter(({ ownerOnly }) => isOwner || !ownerOnly).map(({ href, name }) => {
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
