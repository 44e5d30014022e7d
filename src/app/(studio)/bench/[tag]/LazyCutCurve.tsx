'use client';

import dynamic from 'next/dynamic';

/** The chart library is heavy: it comes when somebody wants to know why. */
export const LazyCutCurve = dynamic(() => import('./CutCurve').then((module) => module.CutCurve), {
  ssr: false,
  loading: () => <div className="mt-2 h-48" />,
});
