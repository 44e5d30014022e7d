'use client';

import { PAID_BY } from '@/core/selling/sale';
import { tag } from '@/core/tag';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import type { OrderShown } from '@/studio/orders/orders';
import {
  AcceptInput,
  CancelOrderInput,
  DEPOSIT_FATES,
  OrderPaymentInput,
} from '@/studio/orders/orders.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, MoneyField, TextField, TickField } from '@/ui/form/fields';
import { useCurrency } from '@/ui/currency';
import { useDone } from '@/ui/useDone';
import { acceptOrderAction, cancelOrderAction, payOrderAction } from '../actions';

const PAID_CHOICES = PAID_BY.map((value) => ({ value, text: value }));

const useTyped = (): ((amount: MinorUnits) => string) => {
  const currency = useCurrency();
  return (amount) => `${plainMoney(amount, currency)} ${currency}`;
};

/** A quote is accepted: it is ordered, and planned as a batch when it is made. */
export function Accept({ order: { number, version, dueOn } }: { order: OrderShown }) {
  const done = useDone<{ readonly batch: number | null }>(({ batch }) =>
    batch === null ? 'It is ordered.' : `It is ordered, and made in ${tag('batch', batch)}.`,
  );
  return (
    <ActForm
      input={AcceptInput}
      defaultValues={{ version: String(version), dueOn: dueOn ?? '', isMade: true }}
      send={(key, input) => acceptOrderAction(key, number, input)}
      onDone={done}
      action="They order it"
      busy="Planning …"
      quiet={false}
    >
      {(control) => (
        <>
          <TextField control={control} name="dueOn" label="Promised for" type="date" />
          <TickField
            control={control}
            name="isMade"
            label="It is made: plan a batch for it (otherwise it is taken from the shelf)"
          />
        </>
      )}
    </ActForm>
  );
}

/** Money is taken for an order. */
export function TakeMoney({ order, today }: { order: OrderShown; today: string }) {
  const { number, sale, toPay, paid, deposit, payments } = order;
  const typed = useTyped();
  const done = useDone<{ readonly number: number }>(
    (entered) => `It is written down: ${tag('payment', entered.number)}.`,
  );
  const asked = sale === null && deposit > paid ? ((deposit - paid) as MinorUnits) : toPay;
  return (
    <ActForm
      key={payments.length}
      input={OrderPaymentInput}
      defaultValues={{
        way: 'taken',
        amount: typed(asked),
        paidBy: sale === null ? 'cash' : 'transfer',
        paidOn: today,
        note: '',
      }}
      send={(key, input) => payOrderAction(key, number, input)}
      onDone={done}
      action="Write the payment down"
      busy="Writing …"
    >
      {(control) => (
        <>
          {sale === null && paid > 0 && (
            <ChoiceField
              control={control}
              name="way"
              label="Which way"
              choices={[
                { value: 'taken', text: 'they pay' },
                { value: 'paid back', text: 'you pay back' },
              ]}
            />
          )}
          <MoneyField control={control} name="amount" label="How much" />
          <ChoiceField control={control} name="paidBy" label="Paid by" choices={PAID_CHOICES} />
          <TextField control={control} name="paidOn" label="On" type="date" />
          <TextField control={control} name="note" label="Note" />
        </>
      )}
    </ActForm>
  );
}

/** Nothing comes of it. */
export function CancelOrder({ order: { number, paid, state }, today }: { order: OrderShown; today: string }) {
  const done = useDone(() => 'It is cancelled.');
  return (
    <ActForm
      input={CancelOrderInput}
      defaultValues={{ deposit: 'paid back', paidBy: 'cash', paidOn: today, note: '' }}
      send={(key, input) => cancelOrderAction(key, number, input)}
      onDone={done}
      action={state === 'quoted' ? 'Lay the quote aside' : 'Cancel the order'}
      busy="Writing …"
    >
      {(control) =>
        paid > 0 && (
          <>
            <ChoiceField
              control={control}
              name="deposit"
              label="What was paid is"
              choices={DEPOSIT_FATES.map((value) => ({ value, text: value }))}
            />
            <ChoiceField control={control} name="paidBy" label="Paid back by" choices={PAID_CHOICES} />
            <TextField control={control} name="paidOn" label="On" type="date" />
            <TextField control={control} name="note" label="Note" />
          </>
        )
      }
    </ActForm>
  );
}
