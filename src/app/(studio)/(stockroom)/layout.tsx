import type { ReactNode } from 'react';
import { pageMember } from '@/app/lib/member';
import { PartsNav } from '@/ui/PartsNav';
import { STOCKROOM } from '@/ui/places';

/** The stockroom: everything a studio keeps, with a way from each part of it to the others. */
export default async function StockroomLayout({ children }: { children: ReactNode }) {
  const { session } = await pageMember();
  return (
    <>
      <PartsNav place={STOCKROOM} isOwner={session.role === 'owner'} />
      {children}
    </>
  );
}
