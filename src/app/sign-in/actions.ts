'use server';

import { redirect } from 'next/navigation';
import type { Outcome } from '@/studio/kernel/outcome';
import type { SignInInput } from '@/studio/people/people.input';
import { signIn } from '@/studio/people/signIn';
import { remoteAddress } from '../lib/address';
import { answeringForm } from '../lib/member';
import { endSession, keepSession } from '../lib/session';

export async function signInAction(input: SignInInput): Promise<Outcome<null>> {
  return answeringForm(async () => {
    const outcome = await signIn(input, await remoteAddress());
    if (!outcome.ok) return outcome;
    await keepSession(outcome.value);
    return { ok: true, value: null };
  });
}

export async function signOutAction(): Promise<void> {
  await endSession();
  redirect('/sign-in');
}
