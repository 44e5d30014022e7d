'use server';

import { action } from '@/app/lib/action';
import { readWords } from '@/core/bench/device';
import { anId } from '@/studio/kernel/arguments';
import { finishSitting, leaveSitting } from '@/studio/sittings/finishSitting';
import { hearWords, MOST_AT_ONCE } from '@/studio/sittings/hearWords';

export const hearWordsAction = action([anId, (given) => readWords(given, MOST_AT_ONCE)], hearWords);

export const finishSittingAction = action([anId], finishSitting);

export const leaveSittingAction = action([anId], leaveSitting);
