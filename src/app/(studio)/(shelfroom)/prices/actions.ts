'use server';

import { action, question } from '@/app/lib/action';
import { aForm, aKey, anId } from '@/studio/kernel/arguments';
import { dropScenario, keepScenario, pricesNow, reprice } from '@/studio/selling/pricesNow';
import type { RepriceInput, ScenarioInput } from '@/studio/selling/pricesNow.input';

export const pricesNowAction = question([], pricesNow);

export const repriceAction = action([aKey, aForm<RepriceInput>()], reprice);

export const keepScenarioAction = action([aKey, aForm<ScenarioInput>()], keepScenario);

export const dropScenarioAction = action([aKey, anId], dropScenario);
