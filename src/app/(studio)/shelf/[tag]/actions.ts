'use server';

import { action } from '@/app/lib/action';
import { pricePiece } from '@/studio/shelf/shelf';
import type { PricePieceInput } from '@/studio/shelf/pricePiece.input';
import { aForm, aKey, aNumber } from '@/studio/kernel/arguments';

export const pricePieceAction = action([aKey, aNumber, aForm<PricePieceInput>()], pricePiece);
