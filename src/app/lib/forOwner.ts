import type { StudioSession } from '@/studio/kernel/useCase';
import { currentMember } from './member';

/** Answers a route that is the owner's alone: nobody else learns whether there is anything. */
export async function forOwner(answer: (session: StudioSession) => Promise<Response>): Promise<Response> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  return member.session.role === 'owner'
    ? answer(member.session)
    : new Response('Only the studio’s owner may see that.', { status: 403 });
}
