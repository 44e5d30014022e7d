import { notFound } from 'next/navigation';
import { pageOwner } from '@/app/lib/member';
import { tagParam } from '@/app/lib/tagParam';
import { numberOnTag, tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { todayOf } from '@/studio/kernel/useCase';
import { handOverOf } from '@/studio/orders/orders';
import { customerNames } from '@/studio/selling/customers';
import { forSale, openChannels } from '@/studio/selling/sales';
import { Link } from '@/ui/Link';
import { HandOverForm } from './HandOverForm';

export const metadata = { title: 'Hand an order over' };

/** An order is handed over: its pieces, and the rest of the money. */
export default async function HandOverPage({ params }: { params: Promise<{ tag: string }> }) {
  const { session } = await pageOwner();
  const number = await tagParam('order', params);
  const ready = await handOverOf(session, number);
  if (!ready) notFound();
  const { order, typed, found } = ready;
  const numbers = typed.pieces.flatMap(({ piece }) => numberOnTag('piece', piece) ?? []);
  const missing = order.lines.flatMap(({ name, count }, index) => {
    const there = found[index] ?? 0;
    return there < count ? [`${counted(count - there, 'piece')} of “${name}”`] : [];
  });
  return (
    <>
      <p className="muted no-print">
        <Link href={`/orders/${tag('order', number)}`} className="link">
          {tag('order', number)}
        </Link>
      </p>
      <h1>Hand over what {order.buyer} ordered</h1>
      {missing.length > 0 && (
        <p className="mt-2 border-l-4 border-warning pl-3 font-semibold">
          Not there yet: {missing.join(', ')}. Hand it over only when they want no more than what is there.
        </p>
      )}
      <HandOverForm
        order={{ number, paidBefore: order.paid, payDays: order.payDays, typed }}
        channels={await openChannels(session)}
        begun={await forSale(session, numbers)}
        today={todayOf(session)}
        names={await customerNames(session)}
      />
    </>
  );
}
