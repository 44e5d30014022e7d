'use server';

import { makePiece, type MadeFrom } from '@/studio/making/makePiece';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import { asMember } from '../../../lib/member';

export async function makePieceAction(postKey: string, madeFrom: MadeFrom, input: MakePieceInput) {
  return asMember((session) => makePiece(session, postKey, madeFrom, input));
}
