'use server';

import { asMember } from '@/app/lib/member';
import { setPricing } from '@/studio/prices/replacement';
import type { SetPricingInput } from '@/studio/prices/replacement.input';
import { setMinimum } from '@/studio/toBuy/toBuy';
import type { SetMinimumInput } from '@/studio/toBuy/toBuy.input';

export async function setPricingAction(articleId: string, key: string, input: SetPricingInput) {
  return asMember((session) => setPricing(session, key, articleId, input));
}

export async function setMinimumAction(articleId: string, key: string, input: SetMinimumInput) {
  return asMember((session) => setMinimum(session, key, articleId, input));
}
