'use client';

import { useRouter } from 'next/navigation';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { revokeTokenAction } from '../actions';

/** Takes a token back. */
export function RevokeToken({ tokenId, name }: { tokenId: string; name: string }) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const takeBack = () =>
    run(
      () => revokeTokenAction(newKey(), tokenId),
      () => {
        toast(`${name} is refused from now on.`);
        router.refresh();
      },
    );
  return (
    <>
      <button
        type="button"
        className="btn btn-sm ml-auto"
        disabled={busy}
        onClick={() => void takeBack()}
        aria-label={`Take back the token of ${name}`}
      >
        Take back
      </button>
      {problem && <p role="alert">{problem}</p>}
    </>
  );
}
