'use server';

import { action } from '@/app/lib/action';
import { sendForRefining } from '@/studio/scrap/jars';
import type { SendForRefiningInput } from '@/studio/scrap/jars.input';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';

export const sendForRefiningAction = action([aKey, aNumber, aForm<SendForRefiningInput>()], sendForRefining);
