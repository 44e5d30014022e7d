import type { ReactNode } from 'react';
import { pageMember } from '@/app/lib/member';
import { PartsNav } from '@/ui/PartsNav';
import { PATTERN_ROOM } from '@/ui/places';

/** The pattern room: patterns, and the arithmetic behind them. */
export default async function PatternRoomLayout({ children }: { children: ReactNode }) {
  const { session } = await pageMember();
  return (
    <>
      <PartsNav place={PATTERN_ROOM} isOwner={session.role === 'owner'} />
      {children}
    </>
  );
}
