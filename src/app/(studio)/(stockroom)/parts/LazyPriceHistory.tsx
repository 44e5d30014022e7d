'use client';

import dynamic from 'next/dynamic';

/** The chart library is heavy: it comes when a history is looked at. */
export const LazyPriceHistory = dynamic(
  () => import('./PriceHistory').then((module) => module.PriceHistory),
  {
    ssr: false,
    loading: () => <div className="h-48" />,
  },
);
