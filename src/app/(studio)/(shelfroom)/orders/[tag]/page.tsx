import { pageOwner } from '@/app/lib/member';
import { PaperSums } from '@/app/lib/PaperSums';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { mayOrder } from '@/core/selling/order';
import { tag } from '@/core/tag';
import type { Day as CalendarDay } from '@/core/calendar/day';
import { minor } from '@/core/units/money';
import { todayOf, type StudioSession } from '@/studio/kernel/useCase';
import { showOrder, type OrderShown } from '@/studio/orders/orders';
import { showSchedule } from '@/studio/schedule/benchHours';
import { orderPaperOf, saidWanted } from '@/studio/paper/orderPaper';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { PrintButton } from '@/ui/PrintButton';
import { SmallPicture } from '@/ui/SmallPicture';
import { Day } from '@/ui/When';
import { IS_URGENT, PAYMENT_SAID, STANDING_SAID } from '../orderWords';
import { Accept, CancelOrder, TakeMoney } from './OrderForms';

export const metadata = { title: 'Order' };

type Params = Promise<{ tag: string }>;

/** An order: what is wanted, what is paid, and what comes next. */
export default async function OrderPage({ params }: { params: Params }) {
  const { session } = await pageOwner();
  const order = orNotFound(await showOrder(session, await tagParam('order', params)));
  const { number, state, buyer, address, wishes, channel } = order;
  const today = todayOf(session);
  return (
    <>
      <p className="muted no-print">
        <Link href="/orders" className="link">
          Orders
        </Link>
      </p>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h1 className="[overflow-wrap:anywhere]">
            {state === 'quoted' ? 'Quote' : 'Order'} {tag('order', number)} for {buyer}
          </h1>
          <p>
            <Days order={order} />
          </p>
          <p className="muted [overflow-wrap:anywhere] whitespace-pre-line">
            {[channel.name, ...(address === '' ? [] : [address])].join('\n')}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          <a href={`/orders/${tag('order', number)}/order.pdf`} className="btn btn-lg">
            As PDF
          </a>
          {mayOrder(state, 'change') && (
            <Link href={`/orders/${tag('order', number)}/edit`} className="btn btn-lg">
              Change it
            </Link>
          )}
          <PrintButton />
        </div>
      </div>
      {wishes !== '' && <p className="mt-2 [overflow-wrap:anywhere] whitespace-pre-line">“{wishes}”</p>}
      <Wanted order={order} />
      <Next order={order} today={today} readyOn={await readyOnOf(session, order)} />
      <Paid order={order} today={today} />
      {mayOrder(state, 'cancel') && (
        <section className="leaf no-print mt-4 px-4">
          <Fold title="Nothing comes of it">
            {order.batch?.isOpen && (
              <p className="mb-2">
                The batch{' '}
                <Link href={`/batches/${tag('batch', order.batch.number)}`} className="link">
                  {tag('batch', order.batch.number)}
                </Link>{' '}
                that it is made in stays; cancel it there when it is not to be made either.
              </p>
            )}
            <CancelOrder order={order} today={today} />
          </Fold>
        </section>
      )}
    </>
  );
}

/** The day that the batch of an order is worked on last, by the bench hours; undefined where it is in no open batch, null beyond the calendar. */
async function readyOnOf(session: StudioSession, { state, batch }: OrderShown) {
  if (state !== 'ordered' || !batch?.isOpen) return undefined;
  const { batches } = await showSchedule(session, { from: 0, most: 0 });
  return batches.find(({ number }) => number === batch.number)?.readyOn;
}

/** How it stands, with its days. */
function Days({
  order: { standing, state, quotedOn, validUntil, orderedOn, dueOn, sale },
}: {
  order: OrderShown;
}) {
  return (
    <>
      <span
        className={IS_URGENT[standing] ? 'border-l-4 border-warning pl-2 font-semibold' : 'font-semibold'}
      >
        {STANDING_SAID[standing]}
      </span>
      {' · quoted on '}
      <Day at={quotedOn} />
      {state === 'quoted' && validUntil && (
        <>
          , holds until <Day at={validUntil} />
        </>
      )}
      {orderedOn && (
        <>
          {' · ordered on '}
          <Day at={orderedOn} />
        </>
      )}
      {dueOn && (
        <>
          {state === 'quoted' ? ' · wanted by ' : ' · promised for '}
          <Day at={dueOn} />
        </>
      )}
      {sale?.payBy && (
        <>
          {' · to be paid by '}
          <Day at={sale.payBy} />
        </>
      )}
    </>
  );
}

/** What is wanted, for how much. */
function Wanted({ order }: { order: OrderShown }) {
  const { lines, left } = order;
  return (
    <section className="leaf mt-4 overflow-x-auto p-4" aria-label="What is wanted">
      <table className="table">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              Each
            </th>
            <th scope="col" className="text-right">
              Together
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.line}>
              <td className="[overflow-wrap:anywhere]">
                <span className="flex items-center gap-3">
                  <SmallPicture
                    of="pattern"
                    number={line.patternNumber}
                    name={line.name}
                    className="h-12 w-12"
                  />
                  <span>
                    <Link
                      href={`/patterns/${tag('pattern', line.patternNumber)}`}
                      className="link font-semibold"
                    >
                      {line.count === 1 ? line.name : `${line.count} × ${line.name}`}
                    </Link>{' '}
                    <span className="muted">{saidWanted(line)}</span>
                    {line.made !== null && (
                      <span className="no-print block">
                        {line.made} of {line.count} made
                      </span>
                    )}
                  </span>
                </span>
              </td>
              <td className="text-right">
                <Money of={line.price} />
              </td>
              <td className="text-right">
                <Money of={minor(line.price * line.count)} />
              </td>
            </tr>
          ))}
        </tbody>
        <PaperSums sums={orderPaperOf(order).sums} />
      </table>
      <p className="no-print muted">
        <Money of={left} /> of it comes to you after tax, fees and sending; what it costs to make is in that.
      </p>
    </section>
  );
}

/** What comes next: it is ordered, made, handed over. */
function Next({
  order,
  today,
  readyOn,
}: {
  order: OrderShown;
  today: string;
  readyOn: CalendarDay | null | undefined;
}) {
  const { number, state, standing, batch, sale, lines } = order;
  if (state === 'quoted')
    return (
      <section className="leaf no-print mt-4 p-4">
        <h2>Do they order it?</h2>
        {standing === 'lapsed' && (
          <p className="mb-2">Its prices hold no more: look whether they still are right.</p>
        )}
        <Accept order={order} />
      </section>
    );
  if (state === 'ordered') {
    const [all, made] = [
      lines.reduce((sum, { count }) => sum + count, 0),
      lines.reduce((sum, line) => sum + (line.made ?? 0), 0),
    ];
    return (
      <section className="leaf no-print mt-4 p-4">
        <h2>{batch === null ? 'It is taken from the shelf' : `${made} of ${all} made`}</h2>
        {readyOn !== undefined && made < all && <Ready readyOn={readyOn} dueOn={order.dueOn} />}
        <p className="flex flex-wrap gap-2">
          {batch && (
            <Link href={`/batches/${tag('batch', batch.number)}`} className="btn min-h-11">
              To the batch {tag('batch', batch.number)}
            </Link>
          )}
          <Link
            href={`/orders/${tag('order', number)}/hand-over`}
            className={`btn min-h-11 ${batch === null || made === all ? 'btn-primary' : ''}`}
          >
            Hand it over
          </Link>
        </p>
        {order.dueOn !== null && order.dueOn < today && (
          <p className="mt-2 border-l-4 border-warning pl-3 font-semibold">
            It was promised for <Day at={order.dueOn} />.
          </p>
        )}
      </section>
    );
  }
  return sale ? (
    <p className="no-print mt-4">
      Handed over with{' '}
      <Link href={`/sales/${tag('sale', sale.number)}`} className="link">
        {tag('sale', sale.number)}
      </Link>
      .
    </p>
  ) : null;
}

/** When it is ready by the bench hours, and whether that is in time. */
function Ready({ readyOn, dueOn }: { readyOn: CalendarDay | null; dueOn: CalendarDay | null }) {
  const isLate = dueOn !== null && (readyOn === null || readyOn > dueOn);
  return (
    <p className={isLate ? 'mb-2 border-l-4 border-warning pl-3 font-semibold' : 'mb-2'}>
      {readyOn === null ? (
        'By your bench hours it is not ready within a year'
      ) : (
        <>
          By your{' '}
          <Link href="/batches/hours" className="link">
            bench hours
          </Link>{' '}
          it is ready on <Day at={readyOn} />
        </>
      )}
      {isLate && ', later than it is promised'}.
    </p>
  );
}

/** What was paid, and what is to pay still. */
function Paid({ order, today }: { order: OrderShown; today: string }) {
  const { state, payments, toPay, paid } = order;
  if (payments.length === 0 && !mayOrder(state, 'take money')) return null;
  const isOpen = mayOrder(state, 'take money') && (toPay > 0 || (state === 'ordered' && paid > 0));
  return (
    <section className="leaf mt-4 p-4" aria-label="What was paid">
      <h2>
        {toPay === 0 || state === 'cancelled' ? (
          'Nothing is to pay'
        ) : (
          <>
            <Money of={toPay} /> still to pay
          </>
        )}
      </h2>
      <ul>
        {payments.map(({ number, kind, paidOn, amount, paidBy, note, by }) => (
          <li key={number} className="flex flex-wrap gap-x-4 border-t border-base-300 py-2">
            <a href={`/payments/${tag('payment', number)}`} className="link">
              {tag('payment', number)}
            </a>
            <Day at={paidOn} />
            <span className="[overflow-wrap:anywhere]">
              {PAYMENT_SAID[kind]}
              {kind !== 'kept' && `, ${paidBy}`}
              <span className="muted">
                {note !== '' && ` · “${note}”`} · {by}
              </span>
            </span>
            <span className="ml-auto">
              <Money of={amount} />
            </span>
          </li>
        ))}
      </ul>
      {isOpen && (
        <div className="no-print">
          <Fold title="Money comes in, or goes back">
            <TakeMoney order={order} today={today} />
          </Fold>
        </div>
      )}
    </section>
  );
}
