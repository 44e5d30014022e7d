'use server';

import { action, question } from '@/app/lib/action';
import { aForm, aKey, aList, anId, aNumber } from '@/studio/kernel/arguments';
import { forSale } from '@/studio/selling/sales';
import { sellPieces } from '@/studio/selling/sell';
import { MOST_SOLD, type SellInput } from '@/studio/selling/sell.input';
import { sayNoSale, settleSale } from '@/studio/selling/unsettled';
import type { NoSaleInput } from '@/studio/selling/unsettled.input';

export const forSaleAction = question([aList(aNumber, MOST_SOLD)], forSale);

export const settleSaleAction = action([aKey, anId, aForm<SellInput>()], settleSale);

export const sayNoSaleAction = action([aKey, anId, aForm<NoSaleInput>()], sayNoSale);

export const sellPiecesAction = action([aKey, aForm<SellInput>()], sellPieces);
