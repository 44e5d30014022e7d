'use server';

import { action } from '@/app/lib/action';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';
import { takeReturn } from '@/studio/selling/sell';
import type { ReturnInput } from '@/studio/selling/sell.input';

export const takeReturnAction = action([aKey, aNumber, aForm<ReturnInput>()], takeReturn);
