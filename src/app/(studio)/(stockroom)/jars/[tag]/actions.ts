'use server';

import { action } from '@/app/lib/action';
import { sendForRefining } from '@/studio/scrap/jars';
import type { SendForRefiningInput } from '@/studio/scrap/jars.input';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';

export const sendForRefiningAction = action(
  [aNumber, aKey, aForm<SendForRefiningInput>()],
  (session, number, key, input) => sendForRefining(session, key, number, input),
);
