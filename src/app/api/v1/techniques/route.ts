import type { NextRequest, NextResponse } from 'next/server';
import { TECHNIQUES } from '@/core/techniques/registry';
import { parameterSchema } from '@/studio/calculate/openApi';
import { answerProgram } from '../../../lib/program';

/** Every technique with its parameters, as JSON schema. */
export async function GET(request: NextRequest): Promise<NextResponse> {
  return answerProgram(request, async () => ({
    ok: true,
    value: {
      techniques: TECHNIQUES.map(({ id, title, group, source, parameters }) => ({
        id,
        title,
        group,
        source,
        parameters: Object.fromEntries(
          Object.entries(parameters).map(([key, each]) => [key, parameterSchema(each)]),
        ),
      })),
    },
  }));
}
