import { NextResponse, type NextRequest } from 'next/server';
import { findAnything } from '@/studio/find/findAnything';
import { currentMember } from '../../lib/member';
import { plainText } from '@/studio/kernel/query';

/** What the command box found for `?q=`. */
export async function GET(request: NextRequest): Promise<NextResponse> {
  const member = await currentMember();
  if (!member) return NextResponse.json({ message: 'Sign in first.' }, { status: 401 });
  return NextResponse.json(
    await findAnything(member.session, plainText(request.nextUrl.searchParams.get('q') ?? '')),
  );
}
