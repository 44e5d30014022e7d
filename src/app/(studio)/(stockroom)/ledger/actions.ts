'use server';

import { action } from '@/app/lib/action';
import { reverseMovement } from '@/studio/corrections/reverseMovement';
import type { ReverseInput } from '@/studio/corrections/reverseMovement.input';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';

export const reverseAction = action([aKey, aNumber, aForm<ReverseInput>()], reverseMovement);
