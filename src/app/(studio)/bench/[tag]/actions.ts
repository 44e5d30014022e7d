'use server';

import { action } from '@/app/lib/action';
import type { PieceOfBatch } from '@/studio/trayMaking/makeFromTray';
import { makeAlike } from '@/studio/making/makeAlike';
import { makePiece, type MadeFrom } from '@/studio/making/makePiece';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import { aForm, aKey, aList, aNumber, aRecord, orNull } from '@/studio/kernel/arguments';

const wanted = aRecord({
  number: aNumber,
  revision: aNumber,
  batch: orNull(aRecord<PieceOfBatch>({ number: aNumber, line: aNumber, piece: aNumber })),
});

function aMadeFrom(given: unknown): MadeFrom | undefined {
  const read = wanted(given);
  if (!read) return undefined;
  const { batch, ...pattern } = read;
  return batch ? { ...pattern, batch } : pattern;
}

/** The most pieces that are made at once. */
const MOST_AT_ONCE = 100;

export const makeAlikeAction = action(
  [aList(aKey, MOST_AT_ONCE), aMadeFrom, aForm<MakePieceInput>()],
  makeAlike,
);

export const makePieceAction = action([aKey, aMadeFrom, aForm<MakePieceInput>()], makePiece);
