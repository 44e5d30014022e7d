import type { NextRequest, NextResponse } from 'next/server';
import { ENDPOINTS } from '@/studio/calculate/endpoints';
import { answerPosted, notThere } from '../../../../lib/program';

/** A calculation by its name. */
export async function POST(
  request: NextRequest,
  { params }: { params: Promise<{ what: string }> },
): Promise<NextResponse> {
  const { what } = await params;
  const endpoint = Object.hasOwn(ENDPOINTS, what) ? ENDPOINTS[what] : undefined;
  return answerPosted(request, async (plain, { studioId }) =>
    endpoint
      ? endpoint.answer(plain, { studioId, signal: request.signal })
      : notThere(
          `There is no calculation “${what.slice(0, 60)}”; there are ${Object.keys(ENDPOINTS).join(', ')} and technique/….`,
        ),
  );
}
