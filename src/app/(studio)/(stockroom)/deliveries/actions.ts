'use server';

import { asMember } from '@/app/lib/member';
import type { DeliveryInput } from '@/studio/deliveries/delivery.input';
import { receiveDelivery } from '@/studio/deliveries/receiveDelivery';

export async function receiveDeliveryAction(key: string, input: DeliveryInput) {
  return asMember((session) => receiveDelivery(session, key, input));
}
