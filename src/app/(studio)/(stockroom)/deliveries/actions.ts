'use server';

import { action } from '@/app/lib/action';
import type { DeliveryInput } from '@/studio/deliveries/delivery.input';
import { receiveDelivery } from '@/studio/deliveries/receiveDelivery';
import { aForm, aKey } from '@/studio/kernel/arguments';

export const receiveDeliveryAction = action([aKey, aForm<DeliveryInput>()], receiveDelivery);
