import { saidChecks } from '@/core/pattern/pieceChecks';
import { saidTouches } from '@/core/pattern/touches';
import type { PlannedPiece } from '@/core/technique/planActs';

/** A piece of whose wires as they lie something is to be said. */
export type PieceAsked = Pick<PlannedPiece, 'run' | 'hang'>;

/** What is said of a piece, sentence by sentence. */
export interface PieceSaid {
  /** What is bare of its stone, how that is kept, how its sides differ. */
  readonly checks: readonly string[];
  /** Where its wires have no room. */
  readonly touches: readonly string[];
}

/** What is asked of the worker: a piece, and the number of the question. */
export interface PieceQuestion {
  readonly asked: number;
  readonly piece: PieceAsked;
}

/** What it answers. */
export interface PieceAnswer {
  readonly asked: number;
  readonly said: PieceSaid;
}

addEventListener('message', ({ data: { asked, piece } }: MessageEvent<PieceQuestion>) => {
  const said = { checks: saidChecks(piece), touches: saidTouches(piece.run) };
  postMessage({ asked, said } satisfies PieceAnswer);
});
