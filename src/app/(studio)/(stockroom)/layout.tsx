import type { ReactNode } from 'react';
import { pageMember } from '@/app/lib/member';
import { StockroomNav } from './StockroomNav';

/** The stockroom: everything a studio keeps, with a way from each part of it to the others. */
export default async function StockroomLayout({ children }: { children: ReactNode }) {
  const { session } = await pageMember();
  return (
    <>
      <StockroomNav isOwner={session.role === 'owner'} />
      {children}
    </>
  );
}
