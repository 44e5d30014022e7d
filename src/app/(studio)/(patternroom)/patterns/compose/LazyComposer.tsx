'use client';

import dynamic from 'next/dynamic';

/** The composer, whose script comes after the page’s own: what is read first is there before it. */
export const LazyComposer = dynamic(() => import('./Composer').then((loaded) => loaded.Composer));
