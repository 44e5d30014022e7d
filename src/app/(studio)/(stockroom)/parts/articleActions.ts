'use server';

import { action } from '@/app/lib/action';
import { setPricing } from '@/studio/prices/replacement';
import type { SetPricingInput } from '@/studio/prices/replacement.input';
import { setMinimum } from '@/studio/toBuy/toBuy';
import type { SetMinimumInput } from '@/studio/toBuy/toBuy.input';
import { aForm, aKey, anId } from '@/studio/kernel/arguments';

export const setPricingAction = action(
  [anId, aKey, aForm<SetPricingInput>()],
  (session, articleId, key, input) => setPricing(session, key, articleId, input),
);

export const setMinimumAction = action(
  [anId, aKey, aForm<SetMinimumInput>()],
  (session, articleId, key, input) => setMinimum(session, key, articleId, input),
);
