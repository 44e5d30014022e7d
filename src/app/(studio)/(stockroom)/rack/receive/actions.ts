'use server';

import { receiveWire } from '@/studio/wire/receiveWire';
import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { asMember } from '@/app/lib/member';

export async function receiveWireAction(postKey: string, input: ReceiveWireInput) {
  return asMember((session) => receiveWire(session, postKey, input));
}
