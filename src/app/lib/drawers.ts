import { notFound } from 'next/navigation';
import type { DrawerWare } from '@/studio/drawers/drawers';

/** The drawers, by the last part of their address. */
export const DRAWERS = {
  beads: { ware: 'bead', one: 'bead', many: 'beads', receive: 'Receive beads' },
  stones: { ware: 'stone', one: 'stone', many: 'stones', receive: 'Receive a stone' },
  findings: { ware: 'finding', one: 'finding', many: 'findings', receive: 'Receive findings' },
  supplies: { ware: 'supply', one: 'supply', many: 'supplies', receive: 'Receive a supply' },
} as const satisfies Readonly<
  Record<string, { ware: DrawerWare; one: string; many: string; receive: string }>
>;

export type DrawerSlug = keyof typeof DRAWERS;

/** The drawer that an address is of; any other address is no page. */
export function drawerOf(slug: string): (typeof DRAWERS)[DrawerSlug] & { readonly slug: DrawerSlug } {
  const known = Object.keys(DRAWERS).find((each): each is DrawerSlug => each === slug);
  if (!known) notFound();
  return { ...DRAWERS[known], slug: known };
}
