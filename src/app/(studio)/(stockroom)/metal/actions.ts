'use server';

import { action } from '@/app/lib/action';
import { feedMode, fetchMetalPrices, setFeedMode, typeMetalPrice } from '@/studio/prices/metalPrices';
import type { TypeMetalPriceInput } from '@/studio/prices/typeMetalPrice.input';
import { aFlag, aForm, aKey } from '@/studio/kernel/arguments';

export const fetchPricesAction = action([], fetchMetalPrices);

export const typeMetalPriceAction = action([aKey, aForm<TypeMetalPriceInput>()], typeMetalPrice);

export const feedModeAction = action([], feedMode);

export const setFeedModeAction = action([aFlag], setFeedMode);
