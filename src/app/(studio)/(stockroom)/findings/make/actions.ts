'use server';

import { asMember } from '@/app/lib/member';
import { makeFindings } from '@/studio/drawers/makeFindings';
import type { MakeFindingsInput } from '@/studio/drawers/makeFindings.input';

export async function makeFindingsAction(key: string, input: MakeFindingsInput) {
  return asMember((session) => makeFindings(session, key, input));
}
