'use client';

import { useRouter } from 'next/navigation';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { cancelBatchAction, takeUpAgainAction } from '../actions';

/** Cancels a batch, after saying what that does. */
export function CancelBatch({ number }: { number: number }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const cancel = () =>
    run(
      () => cancelBatchAction(newKey(), number),
      () => {
        toast('Cancelled; everything that was set aside for it is free again.');
        router.refresh();
      },
    );
  return (
    <details className="dropdown dropdown-end">
      <summary className="btn btn-lg">Cancel it</summary>
      <div className="dropdown-content leaf z-40 w-72 space-y-3 p-4 shadow-lg">
        <p>
          Everything that is set aside for it is set free. Wires that are cut already become off-cuts; pieces
          that are made stay on the shelf. The batch stays in the list.
        </p>
        <button type="button" className="btn btn-error" disabled={busy} onClick={() => void cancel()}>
          Cancel the batch
        </button>
        {problem && (
          <p role="alert" className="font-semibold text-error">
            {problem}
          </p>
        )}
      </div>
    </details>
  );
}

/** Takes a cancelled batch up again. */
export function TakeUpAgain({ number }: { number: number }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const takeUp = () =>
    run(
      () => takeUpAgainAction(newKey(), number),
      () => {
        toast('Taken up again; its cuts are to be planned anew.');
        router.refresh();
      },
    );
  return (
    <div className="no-print">
      <button type="button" className="btn btn-primary btn-lg" disabled={busy} onClick={() => void takeUp()}>
        Take it up again
      </button>
      {problem && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {problem}
        </p>
      )}
    </div>
  );
}
