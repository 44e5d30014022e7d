'use server';

import type { Outcome } from '@/studio/kernel/outcome';
import { changePassword } from '@/studio/people/changePassword';
import type { ChangePasswordInput } from '@/studio/people/people.input';
import { asMember } from '../../lib/member';
import { keepSession } from '../../lib/session';

/** Changes the password; this browser stays signed in, every other one is signed out. */
export async function changePasswordAction(input: ChangePasswordInput): Promise<Outcome<null>> {
  return asMember(async (session) => {
    const outcome = await changePassword(session, input);
    if (!outcome.ok) return outcome;
    await keepSession({ studioId: session.studioId, userId: session.userId, epoch: outcome.value.epoch });
    return { ok: true, value: null };
  });
}
