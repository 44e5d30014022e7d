'use server';

import { action, question } from '@/app/lib/action';
import { takingsAsTyped } from '@/studio/batches/batchTakings';
import { aForm, aKey, aList, aNumber, aRecord, aText, orNull } from '@/studio/kernel/arguments';
import { acceptOrder, cancelOrder, handOver, payOrder } from '@/studio/orders/orderActs';
import type {
  AcceptInput,
  CancelOrderInput,
  OrderInput,
  OrderPaymentInput,
} from '@/studio/orders/orders.input';
import { writeOrder, type OrderBase } from '@/studio/orders/writeOrder';
import type { SellInput } from '@/studio/selling/sell.input';

const aBase = orNull(aRecord<OrderBase>({ number: aNumber, version: aNumber }));

export const writeOrderAction = action([aKey, aBase, aForm<OrderInput>()], writeOrder);

export const worthAction = question([aList(aForm<object>(), 100), aText(40)], takingsAsTyped);

export const acceptOrderAction = action([aKey, aNumber, aForm<AcceptInput>()], acceptOrder);

export const payOrderAction = action([aKey, aNumber, aForm<OrderPaymentInput>()], payOrder);

export const cancelOrderAction = action([aKey, aNumber, aForm<CancelOrderInput>()], cancelOrder);

export const handOverAction = action([aKey, aNumber, aForm<SellInput>()], handOver);
