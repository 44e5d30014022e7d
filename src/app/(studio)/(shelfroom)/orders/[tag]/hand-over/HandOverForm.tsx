'use client';

import type { SaleTyped } from '@/core/selling/stall';
import type { MinorUnits } from '@/core/units/money';
import { SellForm, type SellFormProps } from '../../../selling/SellForm';
import { handOverAction } from '../../actions';

/** What of an order its hand-over goes by. */
interface OrderReady {
  readonly number: number;
  readonly paidBefore: MinorUnits;
  readonly payDays: number;
  readonly typed: SaleTyped;
}

/** The form of a sale, begun with the pieces and the prices of an order. */
export function HandOverForm({
  order: { number, typed, paidBefore, payDays },
  ...rest
}: Omit<SellFormProps, 'told'> & { order: OrderReady }) {
  return (
    <SellForm
      {...rest}
      told={{
        ...{ typed, paidBefore, payDays },
        id: `order-${number}`,
        action: 'Hand it over',
        send: (key, values) => handOverAction(key, number, values),
      }}
    />
  );
}
