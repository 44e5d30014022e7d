import { randomUUID } from 'node:crypto';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { Outcome } from '@/studio/kernel/outcome';
import type { StudioSession } from '@/studio/kernel/useCase';
import { needsSetUp } from '@/studio/people/setUpStudio';
import { memberOf, type Member } from '@/studio/people/signIn';
import { log } from '@/studio/kernel/log';
import { sessionCookie } from './session';

/** The person at the screen, once per request; undefined when nobody is signed in. */
export const currentMember = cache(async (): Promise<Member | undefined> => {
  const { studioId, userId, epoch } = await sessionCookie();
  if (!studioId || !userId || !epoch) return undefined;
  return memberOf({ studioId, userId, epoch }, new Date());
});

/** The person a page is for; sends everybody else to sign in, or to set up when nobody can sign in yet. */
export async function pageMember(): Promise<Member> {
  const member = await currentMember();
  if (member) return member;
  redirect((await needsSetUp()) ? '/set-up' : '/sign-in');
}

/** The owner a page is for; a helper is sent to the rack. */
export async function pageOwner(): Promise<Member> {
  const member = await pageMember();
  if (member.session.role !== 'owner') redirect('/rack');
  return member;
}

/** Runs work for a form: a fault nobody foresaw is logged under an id that the form shows, and leaves the form as typed. */
export async function answeringForm<T>(work: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  try {
    return await work();
  } catch (fault) {
    const errorId = randomUUID().slice(0, 8);
    const requestId = (await headers()).get('x-request-id');
    log.error(
      {
        errorId,
        requestId,
        err: fault instanceof Error ? { message: fault.message, stack: fault.stack } : String(fault),
      },
      'form failed',
    );
    const message = `Something broke on our side and nothing was posted. What you typed is still here; try again. If it stays, tell us error ${errorId}.`;
    return { ok: false, problem: { kind: 'fault', message } };
  }
}

/** Runs a use case for the signed-in person; an ended session is told, and leaves the form as typed. */
export async function asMember<T>(
  work: (session: StudioSession) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  return answeringForm(async () => {
    const member = await currentMember();
    if (member) return work(member.session);
    return {
      ok: false,
      problem: {
        kind: 'signed-out',
        message:
          'Your session has ended; nothing was posted. Sign in again in another tab, then come back and send this once more.',
      },
    };
  });
}
