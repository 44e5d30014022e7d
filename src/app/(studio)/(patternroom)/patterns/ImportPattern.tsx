'use client';

import { useRouter } from 'next/navigation';
import { tag } from '@/core/tag';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { importPatternAction } from './actions';

/** Largest file that is sent, bytes. */
const MOST = 500_000;

/** Hangs a pattern from a file in the room. */
export function ImportPattern() {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, setProblem, run } = useAct();
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST) {
      setProblem(`This file has ${Math.ceil(file.size / 1000)} kB; at most ${MOST / 1000} are read.`);
      return;
    }
    const text = await file.text();
    await run(
      () => importPatternAction(newKey(), text),
      ({ number }) => {
        toast(`Saved as ${tag('pattern', number)}.`);
        router.push(`/patterns/${tag('pattern', number)}`);
      },
    );
  };
  return (
    <section className="leaf no-print mt-4 p-4">
      <label className="block text-sm font-semibold">
        A pattern from a file
        <input
          type="file"
          accept="application/json,.json"
          className="file-input mt-1 block w-full max-w-md"
          disabled={busy}
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      <p className="muted mt-1 text-sm">A file that this or another studio wrote from a pattern’s page.</p>
      <div aria-live="assertive">
        {problem && (
          <p role="alert" className="mt-2 border-l-4 border-error bg-error/10 p-3 font-semibold">
            {problem}
          </p>
        )}
      </div>
    </section>
  );
}
