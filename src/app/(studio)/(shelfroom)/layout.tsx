import type { ReactNode } from 'react';
import { pageMember } from '@/app/lib/member';
import { PartsNav } from '@/ui/PartsNav';
import { SHELF } from '@/ui/places';

/** The shelf: finished pieces, and what becomes of them. */
export default async function ShelfLayout({ children }: { children: ReactNode }) {
  const { session } = await pageMember();
  return (
    <>
      <PartsNav place={SHELF} isOwner={session.role === 'owner'} />
      {children}
    </>
  );
}
