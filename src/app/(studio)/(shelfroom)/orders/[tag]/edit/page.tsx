import { pageOwner } from '@/app/lib/member';
import { lineTexts } from '@/app/lib/batchLines/lineTexts';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { tag } from '@/core/tag';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import { showOrder } from '@/studio/orders/orders';
import { orderChoices } from '../../orderForm';
import { OrderForm } from '../../OrderForm';

export const metadata = { title: 'Change a quote' };

export default async function EditOrderPage({ params }: { params: Promise<{ tag: string }> }) {
  const { session } = await pageOwner();
  const order = orNotFound(await showOrder(session, await tagParam('order', params)));
  const { number, version, channel, buyer, address, wishes, validUntil, dueOn, deposit, payDays, lines } =
    order;
  const { currency } = order.studio;
  const money = (amount: MinorUnits) => `${plainMoney(amount, currency)} ${currency}`;
  const choices = await orderChoices(
    session,
    lines.flatMap(({ wanted }) => wanted.stone ?? []),
  );
  return (
    <>
      <h1>What does {buyer} ask for?</h1>
      <p className="muted mt-1">{tag('order', number)}</p>
      <OrderForm
        base={{ number, version }}
        values={{
          channel: channel.id,
          ...{ buyer, address, wishes, validUntil: validUntil ?? '', dueOn: dueOn ?? '' },
          deposit: deposit === 0 ? '' : money(deposit),
          payDays: String(payDays),
          lines: lines.map((line) => ({ ...lineTexts(line), price: money(line.price) })),
        }}
        {...choices}
      />
    </>
  );
}
