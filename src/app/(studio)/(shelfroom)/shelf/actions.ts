'use server';

import { action } from '@/app/lib/action';
import { MOST_TURNED, turnPieces, undoTurn } from '@/studio/shelf/pieceLife';
import type { TurnPiecesInput } from '@/studio/shelf/turnPieces.input';
import { aForm, aKey, aList, aNumber } from '@/studio/kernel/arguments';

export const turnPiecesAction = action(
  [aKey, aList(aNumber, MOST_TURNED), aForm<TurnPiecesInput>()],
  turnPieces,
);

export const undoTurnAction = action([aKey, aNumber, aNumber], undoTurn);
