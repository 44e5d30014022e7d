'use server';

import { asMember } from '@/app/lib/member';
import { sendForRefining } from '@/studio/scrap/jars';
import type { SendForRefiningInput } from '@/studio/scrap/jars.input';

export async function sendForRefiningAction(number: number, key: string, input: SendForRefiningInput) {
  return asMember((session) => sendForRefining(session, key, number, input));
}
