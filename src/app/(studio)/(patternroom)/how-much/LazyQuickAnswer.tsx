'use client';

import dynamic from 'next/dynamic';

/** The quick answer, whose script comes after the page’s own: what is read first is there before it. */
export const LazyQuickAnswer = dynamic(() => import('./QuickAnswer').then((loaded) => loaded.QuickAnswer));
