'use client';

import { useRouter } from 'next/navigation';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { cutAsPlannedAction } from '../../actions';

/** Enters everything that is planned as cut: for who worked by the printed sheet. */
export function AllAsPlanned({ number, cuts }: { number: number; cuts: number }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const said = `${cuts} ${cuts === 1 ? 'wire' : 'wires'}`;
  const enter = () =>
    run(
      () => cutAsPlannedAction(newKey(), number),
      ({ cut }) => {
        toast(`${cut} ${cut === 1 ? 'wire lies' : 'wires lie'} in the tray.`);
        router.refresh();
      },
    );
  return (
    <div className="space-y-3">
      <p className="muted">
        Enters {said} as cut to the planned lengths, in one go. It can be undone in one go too.
      </p>
      <button type="button" className="btn" disabled={busy} onClick={() => void enter()}>
        {busy ? 'Posting …' : `Enter ${said} as cut`}
      </button>
      {problem && (
        <p role="alert" className="border-l-4 border-error bg-error/10 p-3 font-semibold">
          {problem}
        </p>
      )}
    </div>
  );
}
