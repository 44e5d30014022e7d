'use client';

import dynamic from 'next/dynamic';
import type { BesideOthers } from '@/core/selling/priceSpeed';
import { WhenSeen } from '@/ui/WhenSeen';

const CLASS = 'h-56';

/** The chart weighs more than the rest of its page. */
const PriceSpeed = dynamic(() => import('@/ui/pricing/PriceSpeed').then((module) => module.PriceSpeed), {
  loading: () => <div className={CLASS} />,
});

/** Each piece that was sold: its price and its days beside those of its like. */
export const TriedPoints = ({ points }: { points: readonly BesideOthers[] }) => (
  <WhenSeen className={CLASS}>
    <PriceSpeed points={points} className={CLASS} />
  </WhenSeen>
);
