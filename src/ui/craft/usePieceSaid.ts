import { useEffect, useRef, useState } from 'react';
import type { PieceAnswer, PieceAsked, PieceQuestion, PieceSaid } from './pieceSaid.worker';

/** So long after the last change it is looked, ms: nobody waits for it, and one who types does not want it for every key. */
const PAUSE_MS = 600;

/**
 * What is to be said of a piece by its wires as they lie, worked out in a thread of its own a while after the last change: undefined before that,
 * and as it was said last until it is said anew.
 */
export function usePieceSaid({ run, hang }: Partial<PieceAsked>): PieceSaid | undefined {
  const [said, setSaid] = useState<PieceSaid>();
  const worker = useRef<Worker>(undefined);
  useEffect(() => () => worker.current?.terminate(), []);
  useEffect(() => {
    if (!run) return;
    let isWanted = true;
    const timer = setTimeout(() => {
      const thread = (worker.current ??= new Worker(new URL('./pieceSaid.worker.ts', import.meta.url), {
        type: 'module',
      }));
      const asked = timer as unknown as number;
      const answer = ({ data }: MessageEvent<PieceAnswer>) => {
        if (data.asked !== asked) return;
        thread.removeEventListener('message', answer);
        if (isWanted) setSaid(data.said);
      };
      thread.addEventListener('message', answer);
      thread.postMessage({ asked, piece: { run, hang } } satisfies PieceQuestion);
    }, PAUSE_MS);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [run, hang]);
  return run && said;
}
