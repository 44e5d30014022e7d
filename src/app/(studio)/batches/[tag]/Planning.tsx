'use client';

import { Said } from '@/ui/house';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { PlanningStanding } from '@/studio/batches/batches';
import { OFFLINE } from '@/ui/form/problem';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { planCuttingAction, stopPlanningAction, watchPlanningAction } from '../actions';

const LOOK_MS = 500;

/** Plans the cuts of a batch: how far that is, and how to stop it. The page shows the plan when there is one. */
export function Planning({ number, standing: first }: { number: number; standing: PlanningStanding }) {
  const router = useRouter();
  const { busy, problem, setProblem, run } = useAct();
  const [now, setNow] = useState(first);
  const working = now.planning === 'working' && !now.stalled;
  useEffect(() => {
    if (!working) return;
    const timer = setInterval(() => {
      watchPlanningAction(number).then(
        (answer) => {
          if (!answer.ok || !answer.value) return;
          setNow(answer.value);
          if (answer.value.planning !== 'working') router.refresh();
        },
        () => setProblem(OFFLINE.message),
      );
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [working, number, router, setProblem]);
  const begin = () =>
    run(
      () => planCuttingAction(newKey(), number),
      () => setNow({ planning: 'working', said: 'reading the rack', stalled: false }),
    );
  const stop = () =>
    run(
      () => stopPlanningAction(newKey(), number),
      () => {
        setNow({ planning: 'none', said: '', stalled: false });
        router.refresh();
      },
    );
  const wrong = problem || (now.planning === 'failed' || now.planning === 'stale' ? now.said : '');
  return (
    <div className="no-print">
      {working ? (
        <div className="flex flex-wrap items-center gap-3">
          <span className="loading loading-dots" aria-hidden="true" />
          <span role="status">
            Planning the cuts, <Said>{now.said}</Said>
          </span>
          <button type="button" className="btn" disabled={busy} onClick={() => void stop()}>
            Stop it
          </button>
        </div>
      ) : (
        <button
          type="button"
          className={`btn btn-lg ${now.planning === 'planned' ? '' : 'btn-primary'}`}
          disabled={busy}
          onClick={() => void begin()}
        >
          {now.planning === 'planned' ? 'Plan the cuts again' : 'Plan the cuts and set the stock aside'}
        </button>
      )}
      {wrong && (
        <p role="alert" className="mt-2 border-l-4 border-error bg-error/10 p-3 font-semibold">
          <Said>{wrong}</Said>
        </p>
      )}
    </div>
  );
}
