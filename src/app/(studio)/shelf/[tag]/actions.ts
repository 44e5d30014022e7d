'use server';

import { pricePiece } from '@/studio/shelf/shelf';
import type { PricePieceInput } from '@/studio/shelf/pricePiece.input';
import { asMember } from '../../../lib/member';

export async function pricePieceAction(postKey: string, number: number, input: PricePieceInput) {
  return asMember((session) => pricePiece(session, postKey, number, input));
}
