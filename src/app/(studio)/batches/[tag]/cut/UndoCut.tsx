'use client';

import { useRouter } from 'next/navigation';
import { Undo2 } from 'lucide-react';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { useKeys } from '@/ui/useKeys';
import { undoCutAction } from '../../actions';

/** Takes back what was done last at the table. */
export function UndoCut({ number }: { number: number }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const undo = () =>
    run(
      () => undoCutAction(newKey(), number),
      ({ cuts }) => {
        toast(
          cuts === 0
            ? 'Undone: the mis-cut was none.'
            : cuts === 1
              ? 'Undone: the wire is whole again in the books.'
              : `Undone: ${cuts} wires are whole again in the books.`,
        );
        router.refresh();
      },
    );
  useKeys([{ keys: 'z', does: 'Undo the last cut', run: () => !busy && void undo() }]);
  return (
    <>
      <button type="button" className="btn no-print" disabled={busy} onClick={() => void undo()}>
        <Undo2 size={18} aria-hidden="true" /> Undo the last <kbd className="kbd kbd-sm">z</kbd>
      </button>
      {problem && (
        <p role="alert" className="w-full border-l-4 border-error bg-error/10 p-3 font-semibold">
          {problem}
        </p>
      )}
    </>
  );
}
