'use client';

import dynamic from 'next/dynamic';
import type { Stack } from '@/ui/pricing/PartStacks';
import { WhenSeen } from '@/ui/WhenSeen';

const CLASS = 'h-96';

/** The chart weighs more than the rest of its page. */
const PartStacks = dynamic(() => import('@/ui/pricing/PartStacks').then((module) => module.PartStacks), {
  loading: () => <div className={CLASS} />,
});

/** What was taken, laid out in what it paid for. */
export function EarnedStacks({ stacks }: { stacks: readonly Stack[] }) {
  return (
    <WhenSeen className={CLASS}>
      <PartStacks
        stacks={stacks}
        label="What was taken, and what it paid for; the table below has the numbers"
        className={CLASS}
      />
    </WhenSeen>
  );
}
