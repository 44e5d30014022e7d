'use server';

import { action } from '@/app/lib/action';
import { makeFindings } from '@/studio/drawers/makeFindings';
import type { MakeFindingsInput } from '@/studio/drawers/makeFindings.input';
import { aForm, aKey } from '@/studio/kernel/arguments';

export const makeFindingsAction = action([aKey, aForm<MakeFindingsInput>()], makeFindings);
