'use client';

import { useEffect } from 'react';
import { KEPT } from './settings';

/** Whoever is signed out leaves no page on the device. What was said at the bench and not heard yet stays: it is sent when its maker is back. */
export function ForgetKept() {
  useEffect(() => {
    if ('caches' in window) void caches.delete(KEPT.cache).catch(() => false);
  }, []);
  return null;
}
