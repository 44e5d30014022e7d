import type { NextRequest, NextResponse } from 'next/server';
import { answerProgram } from '../../../lib/program';

/** Whom a token stands for: the first thing that a script asks. */
export async function GET(request: NextRequest): Promise<NextResponse> {
  return answerProgram(request, async ({ studioId, role }) => ({ ok: true, value: { studioId, role } }));
}
