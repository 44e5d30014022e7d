import { useEffect, useRef, useState } from 'react';
import type { RunPiece } from '@/core/piece/run';
import type { TouchesAsked, TouchesFound } from './touches.worker';

/** So long after the last change it is looked, ms: nobody waits for it, and one who types does not want it for every key. */
const PAUSE_MS = 900;

/**
 * Where wires of a piece lie in one another or in its stones, as {@link saidTouches} tells it, worked out in a thread of its own a while after the
 * last change; undefined until then.
 */
export function useTouches(run: RunPiece | undefined): readonly string[] | undefined {
  const [found, setFound] = useState<{ readonly run: RunPiece; readonly said: readonly string[] }>();
  const worker = useRef<Worker>(undefined);
  useEffect(() => () => worker.current?.terminate(), []);
  useEffect(() => {
    if (!run) return;
    let isWanted = true;
    const timer = setTimeout(() => {
      const thread = (worker.current ??= new Worker(new URL('./touches.worker.ts', import.meta.url), {
        type: 'module',
      }));
      const asked = timer as unknown as number;
      const answer = ({ data }: MessageEvent<TouchesFound>) => {
        if (data.asked !== asked) return;
        thread.removeEventListener('message', answer);
        if (isWanted) setFound({ run, said: data.said });
      };
      thread.addEventListener('message', answer);
      thread.postMessage({ asked, run } satisfies TouchesAsked);
    }, PAUSE_MS);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [run]);
  return found && found.run === run ? found.said : undefined;
}
