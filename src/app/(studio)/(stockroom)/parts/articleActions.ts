'use server';

import { action } from '@/app/lib/action';
import { setPricing } from '@/studio/prices/replacement';
import type { SetPricingInput } from '@/studio/prices/replacement.input';
import { setMinimum } from '@/studio/toBuy/toBuy';
import type { SetMinimumInput } from '@/studio/toBuy/toBuy.input';
import { aForm, aKey, anId } from '@/studio/kernel/arguments';

export const setPricingAction = action([aKey, anId, aForm<SetPricingInput>()], setPricing);

export const setMinimumAction = action([aKey, anId, aForm<SetMinimumInput>()], setMinimum);
