'use server';

import { action, question } from '@/app/lib/action';
import { aForm, aKey, aList, aNumber } from '@/studio/kernel/arguments';
import { forSale } from '@/studio/selling/sales';
import { sellPieces } from '@/studio/selling/sell';
import { MOST_SOLD, type SellInput } from '@/studio/selling/sell.input';

export const forSaleAction = question([aList(aNumber, MOST_SOLD)], forSale);

export const sellPiecesAction = action([aKey, aForm<SellInput>()], sellPieces);
