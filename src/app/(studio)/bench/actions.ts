'use server';

import { action } from '@/app/lib/action';
import { aForm, aKey, aNumber, aRecord, type Argument } from '@/studio/kernel/arguments';
import { beginSitting, type SittingOf } from '@/studio/sittings/beginSitting';
import type { BeginSittingInput } from '@/studio/sittings/sittings.input';

const ofPattern = aRecord<Extract<SittingOf, { readonly number: number }>>({
  number: aNumber,
  revision: aNumber,
});
const ofBatch = aRecord<Extract<SittingOf, { readonly batch: number }>>({ batch: aNumber, line: aNumber });

const aSittingOf: Argument<SittingOf> = (given) => ofBatch(given) ?? ofPattern(given);

export const beginSittingAction = action([aKey, aSittingOf, aForm<BeginSittingInput>()], beginSitting);
