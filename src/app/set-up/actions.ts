'use server';

import type { Outcome } from '@/studio/kernel/outcome';
import { setUpStudio } from '@/studio/people/setUpStudio';
import type { SetUpStudioInput } from '@/studio/people/people.input';
import { answeringForm } from '../lib/member';
import { keepSession } from '../lib/session';

/** Makes the studio and signs its owner in. */
export async function setUpAction(input: SetUpStudioInput): Promise<Outcome<null>> {
  return answeringForm(async () => {
    const outcome = await setUpStudio(input, new Date());
    if (!outcome.ok) return outcome;
    await keepSession(outcome.value);
    return { ok: true, value: null };
  });
}
