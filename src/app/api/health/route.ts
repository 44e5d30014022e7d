import { NextResponse } from 'next/server';
import { isStudioAnswering } from '@/studio/health';

export const dynamic = 'force-dynamic';

/** 200 when the database answers, 503 when it does not. */
export async function GET(): Promise<NextResponse> {
  const database = await isStudioAnswering();
  return NextResponse.json(
    { status: database ? 'ok' : 'database not answering', database },
    { status: database ? 200 : 503 },
  );
}
