'use server';

import { action } from '@/app/lib/action';
import { receiveWire } from '@/studio/wire/receiveWire';
import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { aForm, aKey } from '@/studio/kernel/arguments';

export const receiveWireAction = action([aKey, aForm<ReceiveWireInput>()], receiveWire);
