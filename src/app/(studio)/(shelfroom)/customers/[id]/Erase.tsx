'use client';

import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { eraseCustomerAction } from '../actions';

/** Erases what stands about somebody. */
export function Erase({ id, name }: { id: string; name: string }) {
  const { busy, problem, run } = useAct();
  const done = useDone(
    () => 'It is erased.',
    () => '/customers',
  );
  return (
    <>
      <button
        type="button"
        className="btn btn-error mt-2 min-h-11"
        disabled={busy}
        onClick={() => void run(() => eraseCustomerAction(newKey(), id), done)}
      >
        Erase “{name}”
      </button>
      {problem !== '' && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {problem}
        </p>
      )}
    </>
  );
}
