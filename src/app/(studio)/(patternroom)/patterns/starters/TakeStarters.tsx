'use client';

import { useRouter } from 'next/navigation';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { takeStartersAction } from '../actions';

interface TakeStartersProps {
  readonly names: readonly string[];
  readonly text: string;
  /** Which pattern it is, where several buttons say the same. */
  readonly of?: string;
  readonly isMain?: boolean;
}

/** Takes copies of the house's own patterns. */
export function TakeStarters({ names, text, of, isMain = false }: TakeStartersProps) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const take = () =>
    void run(
      () => takeStartersAction(newKey(), { names: [...names] }),
      ({ taken }) => {
        toast(`${taken} ${taken === 1 ? 'pattern' : 'patterns'} copied.`);
        router.refresh();
      },
    );
  return (
    <>
      <button
        type="button"
        className={`btn ${isMain ? 'btn-primary btn-lg' : ''}`}
        disabled={busy}
        onClick={take}
      >
        {busy ? 'Copying …' : text}
        {of !== undefined && <span className="sr-only"> of {of}</span>}
      </button>
      {problem && (
        <p role="alert" className="mt-1 text-sm font-semibold text-error">
          {problem}
        </p>
      )}
    </>
  );
}
