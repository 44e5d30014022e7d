'use server';

import { action } from '@/app/lib/action';
import { aFormData, photoIn } from '@/app/lib/photoSent';
import { keepPiecePhoto, PHOTO_SIDES } from '@/studio/photos/keepPhoto';
import { pricePiece } from '@/studio/shelf/shelf';
import type { PricePieceInput } from '@/studio/shelf/pricePiece.input';
import { aForm, aKey, anyOf, aNumber } from '@/studio/kernel/arguments';

export const pricePieceAction = action([aKey, aNumber, aForm<PricePieceInput>()], pricePiece);

export const keepPiecePhotoAction = action(
  [aNumber, anyOf(PHOTO_SIDES), aKey, aFormData],
  async (session, number, side, key, form) => keepPiecePhoto(session, key, number, side, await photoIn(form)),
);
