'use server';

import { asMember } from '@/app/lib/member';
import { feedMode, fetchMetalPrices, setFeedMode } from '@/studio/prices/metalPrices';

export async function fetchPricesAction() {
  return asMember((session) => fetchMetalPrices(session));
}

export async function feedModeAction() {
  return asMember((session) => feedMode(session));
}

export async function setFeedModeAction(failing: boolean) {
  return asMember((session) => setFeedMode(session, failing));
}
