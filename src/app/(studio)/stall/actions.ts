'use server';

import { action } from '@/app/lib/action';
import { readTold } from '@/core/selling/stall';
import { aList, anId } from '@/studio/kernel/arguments';
import { attempt } from '@/studio/kernel/useCase';
import { hearStall, MOST_TOLD } from '@/studio/selling/stall';

export const hearStallAction = action(
  [aList(readTold, MOST_TOLD), aList(anId, MOST_TOLD)],
  (session, sales, asked) => attempt(() => hearStall(session, sales, asked)),
);
