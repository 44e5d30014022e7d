'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { watchTableAction } from '../../actions';

const LOOK_MS = 2500;

/** Shows what others do at the same table: looks now and then whether there is something new. */
export function WatchTable({ number, mark }: { number: number; mark: string }) {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(() => {
      if (document.hidden) return;
      watchTableAction(number).then(
        (answer) => {
          if (answer.ok && answer.value !== null && answer.value !== mark) router.refresh();
        },
        () => undefined,
      );
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [number, mark, router]);
  return null;
}
