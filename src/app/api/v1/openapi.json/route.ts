import { NextResponse } from 'next/server';
import { openApi } from '@/studio/calculate/openApi';

/** What programs may ask, described for programs. It says nothing of any studio, so nobody needs a token for it. */
export function GET(): NextResponse {
  return NextResponse.json(openApi());
}
