import type { NextRequest, NextResponse } from 'next/server';
import { techniqueOf, TECHNIQUES } from '@/core/techniques/registry';
import { answerTechnique } from '@/studio/calculate/endpoints';
import { answerPosted, notThere } from '../../../../../lib/program';

/** What a technique comes to for its parameters. */
export async function POST(
  request: NextRequest,
  { params }: { params: Promise<{ id: string }> },
): Promise<NextResponse> {
  const { id } = await params;
  return answerPosted(request, async (plain) =>
    techniqueOf(id)
      ? answerTechnique(id, plain)
      : notThere(
          `There is no technique “${id.slice(0, 60)}”; there are ${TECHNIQUES.map((each) => each.id).join(', ')}.`,
        ),
  );
}
