'use server';

import { action } from '@/app/lib/action';
import { keepSession } from '@/app/lib/session';
import { changePassword } from '@/studio/people/changePassword';
import type { ChangePasswordInput } from '@/studio/people/people.input';
import { aForm } from '@/studio/kernel/arguments';

/** Changes the password; this browser stays signed in, every other one is signed out. */
export const changePasswordAction = action([aForm<ChangePasswordInput>()], async (session, input) => {
  const outcome = await changePassword(session, input);
  if (!outcome.ok) return outcome;
  await keepSession({ studioId: session.studioId, userId: session.userId, epoch: outcome.value.epoch });
  return { ok: true as const, value: null };
});
