'use server';

import { asMember } from '@/app/lib/member';
import { feedMode, fetchMetalPrices, setFeedMode, typeMetalPrice } from '@/studio/prices/metalPrices';
import type { TypeMetalPriceInput } from '@/studio/prices/typeMetalPrice.input';

export async function fetchPricesAction() {
  return asMember((session) => fetchMetalPrices(session));
}

export async function typeMetalPriceAction(postKey: string, input: TypeMetalPriceInput) {
  return asMember((session) => typeMetalPrice(session, postKey, input));
}

export async function feedModeAction() {
  return asMember((session) => feedMode(session));
}

export async function setFeedModeAction(failing: boolean) {
  return asMember((session) => setFeedMode(session, failing));
}
