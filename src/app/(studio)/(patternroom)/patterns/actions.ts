'use server';

import { composePattern } from '@/studio/patterns/composePattern';
import type { ComposePatternInput } from '@/studio/patterns/composePattern.input';
import { importPattern } from '@/studio/patterns/importPattern';
import { takeStarters } from '@/studio/patterns/starters';
import type { TakeStartersInput } from '@/studio/patterns/starters.input';
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

export async function composePatternAction(
  postKey: string,
  base: PatternBase | null,
  input: ComposePatternInput,
) {
  return asMember((session) => composePattern(session, postKey, base, input));
}

export async function importPatternAction(postKey: string, text: string) {
  return asMember((session) => importPattern(session, postKey, text));
}

export async function takeStartersAction(postKey: string, input: TakeStartersInput) {
  return asMember((session) => takeStarters(session, postKey, input));
}
