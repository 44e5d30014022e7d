'use server';

import { action } from '@/app/lib/action';
import { reverseMovement } from '@/studio/ledger/reverse';
import type { ReverseInput } from '@/studio/ledger/reverse.input';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';

export const reverseAction = action(
  [aNumber, aKey, aForm<ReverseInput>()],
  (session, movementId, key, input) => reverseMovement(session, key, movementId, input),
);
