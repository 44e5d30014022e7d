'use server';

import { action } from '@/app/lib/action';
import { keepCounted, postCount, startCount, type LineTyped } from '@/studio/counting/counting';
import { orderPlaces, renamePlace } from '@/studio/stock/places';
import type { RenamePlaceInput } from '@/studio/stock/places.input';
import { aForm, aKey, aList, aMap, anId, aNumber, aRecord, aText, orNull } from '@/studio/kernel/arguments';

export const startCountAction = action([aKey, orNull(anId)], startCount);

/** The most lines that a sheet is sent with. */
const MOST_LINES = 20_000;

const aLine = aRecord<LineTyped>({ id: anId, typed: aText(200) });

export const keepCountedAction = action([aKey, aNumber, aList(aLine, MOST_LINES)], keepCounted);

export const postCountAction = action([aKey, aNumber, aMap(aNumber, MOST_LINES)], postCount);

export const orderPlacesAction = action([aKey, aList(anId, 10_000)], orderPlaces);

export const renamePlaceAction = action([aKey, anId, aForm<RenamePlaceInput>()], renamePlace);
