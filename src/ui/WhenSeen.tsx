'use client';

import { useEffect, useRef, useState, type ReactNode } from 'react';

/**
 * What is heavy and stands far down a page: it comes when it is about to be seen.
 * @param className that keeps its place until then
 */
export function WhenSeen({ className, children }: { className: string; children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  const [isSeen, setSeen] = useState(false);
  useEffect(() => {
    if (!place.current) return;
    const watch = new IntersectionObserver((entries) => {
      if (entries.some(({ isIntersecting }) => isIntersecting)) setSeen(true);
    });
    watch.observe(place.current);
    return () => watch.disconnect();
  }, []);
  // On paper nothing is about to be seen: no empty place is left for it.
  return isSeen ? children : <div ref={place} className={`no-print ${className}`} />;
}
