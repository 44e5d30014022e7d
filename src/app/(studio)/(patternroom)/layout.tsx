import type { ReactNode } from 'react';
import { pageMember } from '@/app/lib/member';
import { PartsNav, type Part } from '@/ui/PartsNav';

const PARTS: readonly Part[] = [
  { href: '/patterns', name: 'Patterns' },
  { href: '/fitting', name: 'Fitting' },
  { href: '/how-much', name: 'How much wire' },
];

/** The pattern room: patterns, and the arithmetic behind them. */
export default async function PatternRoomLayout({ children }: { children: ReactNode }) {
  const { session } = await pageMember();
  return (
    <>
      <PartsNav label="Pattern room" parts={PARTS} isOwner={session.role === 'owner'} />
      {children}
    </>
  );
}
