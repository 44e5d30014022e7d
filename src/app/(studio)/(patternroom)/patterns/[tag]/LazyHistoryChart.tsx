'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { WhenSeen } from '@/ui/WhenSeen';

const PLACE = 'mt-3 h-56';
const HistoryChart = dynamic(() => import('./HistoryChart').then((module) => module.HistoryChart), {
  ssr: false,
  loading: () => <div className={PLACE} />,
});

/** The chart library is heavy: it comes when the history is looked at. */
export function LazyHistoryChart(props: ComponentProps<typeof HistoryChart>) {
  return (
    <WhenSeen className={PLACE}>
      <HistoryChart {...props} />
    </WhenSeen>
  );
}
