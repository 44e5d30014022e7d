'use server';

import { asMember } from '@/app/lib/member';
import { reverseMovement } from '@/studio/ledger/reverse';
import type { ReverseInput } from '@/studio/ledger/reverse.input';

export async function reverseAction(movementId: number, key: string, input: ReverseInput) {
  return asMember((session) => reverseMovement(session, key, movementId, input));
}
