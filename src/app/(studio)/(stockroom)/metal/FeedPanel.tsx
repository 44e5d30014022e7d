'use client';

import { useEffect, useState } from 'react';
import { Tick } from '@/ui/form/Tick';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { feedModeAction, fetchPricesAction, setFeedModeAction } from './actions';

/** The service that metal prices are fetched from; the stand-in can be made to fail, to see what happens then. */
export function FeedPanel({ isSimulated }: { isSimulated: boolean }) {
  const [failing, setFailing] = useState<boolean>();
  const { busy, problem, run } = useAct();
  const onDone = useDone(
    ({ days }: { days: number }) => `Fetched: prices of ${days} ${days === 1 ? 'day' : 'days'}.`,
  );
  useEffect(() => {
    if (!isSimulated) return;
    feedModeAction().then(
      (answer) => setFailing(answer.ok ? answer.value.failing : undefined),
      () => setFailing(undefined),
    );
  }, [isSimulated]);
  return (
    <section className="leaf no-print p-4" aria-label="Metal price feed">
      <h2>Price feed</h2>
      {isSimulated && (
        <p className="muted text-sm">Simulated: its prices are invented, the same every time.</p>
      )}
      <button
        type="button"
        className="btn btn-primary btn-lg mt-3 w-full"
        disabled={busy}
        onClick={() => void run(fetchPricesAction, onDone)}
      >
        {busy ? 'Fetching …' : 'Fetch today’s prices'}
      </button>
      {busy && <progress className="progress progress-primary mt-2 block w-full" aria-label="Fetching" />}
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          {problem}
        </p>
      )}
      {failing !== undefined && (
        <Tick
          checked={failing}
          onChange={(next) => {
            setFailing(next);
            void setFeedModeAction(next);
          }}
          className="mt-3 text-sm"
        >
          The feed fails
        </Tick>
      )}
    </section>
  );
}
