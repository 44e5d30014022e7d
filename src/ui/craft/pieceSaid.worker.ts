import { checksIn } from '@/core/pattern/pieceChecks';
import type { Remark } from '@/core/pattern/remark';
import { touchesIn } from '@/core/pattern/touches';
import type { PlannedPiece } from '@/core/technique/planActs';

/** A piece of whose wires as they lie something is to be said. */
export type PieceAsked = Pick<PlannedPiece, 'run' | 'hang'>;

/** What is said of a piece. */
export interface PieceSaid {
  /** What is bare of its stone, how that is kept, how its sides differ. */
  readonly checks: readonly Remark[];
  /** Where its wires have no room. */
  readonly touches: readonly Remark[];
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
  const said = { checks: checksIn(piece), touches: touchesIn(piece.run) };
  postMessage({ asked, said } satisfies PieceAnswer);
});
