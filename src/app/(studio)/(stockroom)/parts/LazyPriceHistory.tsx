'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { WhenSeen } from '@/ui/WhenSeen';

const PLACE = 'mt-2 h-48';
const PriceHistory = dynamic(() => import('./PriceHistory').then((module) => module.PriceHistory), {
  ssr: false,
  loading: () => <div className={PLACE} />,
});

/** The chart library is heavy: it comes when a history is looked at. */
export function LazyPriceHistory(props: ComponentProps<typeof PriceHistory>) {
  return (
    <WhenSeen className={PLACE}>
      <PriceHistory {...props} />
    </WhenSeen>
  );
}
