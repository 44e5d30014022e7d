import { pageOwner } from '@/app/lib/member';
import { textsAsked, type Search } from '@/app/lib/search';
import { daysLater } from '@/core/calendar/day';
import { numberOnTag } from '@/core/tag';
import { todayOf } from '@/studio/kernel/useCase';
import { EMPTY_ORDER_LINE } from '@/studio/orders/orders.input';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { orderChoices } from '../orderForm';
import { OrderForm } from '../OrderForm';

export const metadata = { title: 'Write a quote' };

/** So long prices of a quote hold when nobody says otherwise, days. */
const USUALLY_VALID = 30;

export default async function NewOrderPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const { pattern = '', buyer = '' } = await textsAsked(searchParams);
  const choices = await orderChoices(session);
  if (choices.channels.length === 0)
    return (
      <EmptyPlace
        title="How do you sell to order?"
        next={{ href: '/channels', text: 'Write down where you sell' }}
      >
        What is made to order is sold with fees, tax and sending of its own. Write down that way of selling
        first.
      </EmptyPlace>
    );
  if (choices.patterns.length === 0)
    return (
      <EmptyPlace
        title="No pattern to make it from yet"
        next={{ href: '/patterns', text: 'To the pattern room' }}
      >
        What is made to order is made from a pattern. Write or compose one first.
      </EmptyPlace>
    );
  const number = numberOnTag('pattern', pattern);
  const [channel] = choices.channels;
  return (
    <>
      <h1>What is asked for, for how much?</h1>
      <OrderForm
        base={null}
        values={{
          channel: channel?.id ?? '',
          ...{ buyer, address: '', wishes: '' },
          validUntil: daysLater(todayOf(session), USUALLY_VALID),
          ...{ dueOn: '', deposit: '' },
          payDays: channel?.kind === 'wholesale' ? '30' : '0',
          lines: [{ ...EMPTY_ORDER_LINE, pattern: number === undefined ? '' : String(number) }],
        }}
        {...choices}
      />
    </>
  );
}
