import { NextResponse, type NextRequest } from 'next/server';
import { numberOnTag } from '@/core/tag';
import { newestRevision } from '@/studio/patterns/newestRevision';
import { currentMember } from '../../../../lib/member';

/** The newest revision of a pattern, who saved it and when: for somebody who is changing it meanwhile. */
export async function GET(
  _request: NextRequest,
  { params }: { params: Promise<{ tag: string }> },
): Promise<NextResponse> {
  const member = await currentMember();
  if (!member) return NextResponse.json({ message: 'Sign in first.' }, { status: 401 });
  const number = numberOnTag('pattern', (await params).tag);
  const found = number === undefined ? null : await newestRevision(member.session, number);
  return found
    ? NextResponse.json(found)
    : NextResponse.json({ message: 'There is no such pattern.' }, { status: 404 });
}
