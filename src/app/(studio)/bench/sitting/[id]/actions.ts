'use server';

import { action } from '@/app/lib/action';
import { readWords } from '@/core/bench/device';
import { aForm, anId } from '@/studio/kernel/arguments';
import { finishSitting, leaveSitting } from '@/studio/sittings/finishSitting';
import { hearWords, MOST_AT_ONCE } from '@/studio/sittings/hearWords';
import type { ShortWireInput } from '@/studio/sittings/sittings.input';
import { shorterWire } from '@/studio/sittings/shorterWire';

export const hearWordsAction = action([anId, (given) => readWords(given, MOST_AT_ONCE)], hearWords);

export const shorterWireAction = action([anId, aForm<ShortWireInput>()], shorterWire);

export const finishSittingAction = action([anId], finishSitting);

export const leaveSittingAction = action([anId], leaveSitting);
