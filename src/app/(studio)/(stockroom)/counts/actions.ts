'use server';

import { action } from '@/app/lib/action';
import { keepCounted, postCount, startCount, type LineTyped } from '@/studio/counting/counting';
import { orderPlaces, renamePlace } from '@/studio/stock/places';
import type { RenamePlaceInput } from '@/studio/stock/places.input';
import { aForm, aKey, aList, aMap, anId, aNumber, aRecord, aText, orNull } from '@/studio/kernel/arguments';

export const startCountAction = action([orNull(anId), aKey], (session, placeId, key) =>
  startCount(session, key, placeId),
);

/** The most lines that a sheet is sent with. */
const MOST_LINES = 20_000;

const aLine = aRecord<LineTyped>({ id: anId, typed: aText(200) });

export const keepCountedAction = action(
  [aNumber, aKey, aList(aLine, MOST_LINES)],
  (session, number, key, lines) => keepCounted(session, key, number, lines),
);

export const postCountAction = action(
  [aNumber, aKey, aMap(aNumber, MOST_LINES)],
  (session, number, key, seen) => postCount(session, key, number, seen),
);

export const orderPlacesAction = action([aKey, aList(anId, 10_000)], orderPlaces);

export const renamePlaceAction = action(
  [anId, aKey, aForm<RenamePlaceInput>()],
  (session, placeId, key, input) => renamePlace(session, key, placeId, input),
);
