import { saidTouches } from '@/core/pattern/touches';
import type { RunPiece } from '@/core/piece/run';

/** What is asked of the worker: a piece, and the number of the question. */
export interface TouchesAsked {
  readonly asked: number;
  readonly run: RunPiece;
}

/** What it answers. */
export interface TouchesFound {
  readonly asked: number;
  readonly said: readonly string[];
}

addEventListener('message', ({ data }: MessageEvent<TouchesAsked>) => {
  postMessage({ asked: data.asked, said: saidTouches(data.run) } satisfies TouchesFound);
});
