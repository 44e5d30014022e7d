'use server';

import { asMember } from '@/app/lib/member';
import { keepCounted, postCount, startCount, type LineTyped } from '@/studio/counting/counting';
import { orderPlaces, renamePlace } from '@/studio/stock/places';
import type { RenamePlaceInput } from '@/studio/stock/places.input';

export async function startCountAction(placeId: string | null, key: string) {
  return asMember((session) => startCount(session, key, placeId));
}

export async function keepCountedAction(number: number, key: string, lines: readonly LineTyped[]) {
  return asMember((session) => keepCounted(session, key, number, lines));
}

export async function postCountAction(number: number, key: string, seen: Readonly<Record<string, number>>) {
  return asMember((session) => postCount(session, key, number, seen));
}

export async function orderPlacesAction(key: string, ids: readonly string[]) {
  return asMember((session) => orderPlaces(session, key, ids));
}

export async function renamePlaceAction(placeId: string, key: string, input: RenamePlaceInput) {
  return asMember((session) => renamePlace(session, key, placeId, input));
}
