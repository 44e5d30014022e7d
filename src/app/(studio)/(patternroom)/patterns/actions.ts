'use server';

import { writePattern, type PatternBase } from '@/studio/patterns/writePattern';
import type { WritePatternInput } from '@/studio/patterns/writePattern.input';
import { asMember } from '@/app/lib/member';

export async function writePatternAction(
  postKey: string,
  base: PatternBase | null,
  input: WritePatternInput,
) {
  return asMember((session) => writePattern(session, postKey, base, input));
}
