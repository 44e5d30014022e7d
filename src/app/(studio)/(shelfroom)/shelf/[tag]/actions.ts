'use server';

import { action } from '@/app/lib/action';
import { aFormData, photoIn } from '@/app/lib/photoSent';
import { keepPiecePhoto, PHOTO_SIDES } from '@/studio/photos/keepPhoto';
import { breakUp } from '@/studio/shelf/breakUp';
import type { BreakUpInput } from '@/studio/shelf/breakUp.input';
import { pricePiece } from '@/studio/shelf/shelf';
import type { PricePieceInput } from '@/studio/shelf/pricePiece.input';
import { aForm, aKey, anyOf, aNumber } from '@/studio/kernel/arguments';

export const pricePieceAction = action([aKey, aNumber, aForm<PricePieceInput>()], pricePiece);

export const breakUpAction = action([aKey, aNumber, aForm<BreakUpInput>()], breakUp);

export const keepPiecePhotoAction = action(
  [aNumber, anyOf(PHOTO_SIDES), aKey, aFormData],
  async (session, number, side, key, form) => keepPiecePhoto(session, key, number, side, await photoIn(form)),
);
