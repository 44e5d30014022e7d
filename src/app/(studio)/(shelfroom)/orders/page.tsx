import { askedOfList, type Search } from '@/app/lib/search';
import { pageOwner } from '@/app/lib/member';
import { ORDER_STATES } from '@/core/selling/order';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { listOrders, ORDER_SORTINGS, type OrderListed } from '@/studio/orders/orders';
import { OrdersQuery } from '@/studio/orders/orders.input';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Link } from '@/ui/Link';
import { ListFilters } from '@/ui/ListFilters';
import { sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';
import { IS_URGENT, STANDING_SAID } from './orderWords';

export const metadata = { title: 'Orders' };

/** What was asked for, from the quote to the money. */
export default async function OrdersPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const { query, asked, isAsked } = await askedOfList(searchParams, OrdersQuery);
  const { orders, total, quoted, ordered, held, owed, next } = await listOrders(session, query);
  if (total === 0 && !isAsked)
    return (
      <EmptyPlace
        title="Nothing is ordered yet"
        next={{ href: '/orders/new', text: 'Write the first quote' }}
      >
        A ring in somebody’s size, a pendant for their stone, twenty pairs for a shop: name a price, take a
        deposit, make it in time, and hand it over for the rest.
      </EmptyPlace>
    );
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {isAsked ? (
            <>
              {counted(total, 'order')}
              <span className="muted"> under this filter</span>
            </>
          ) : (
            `${counted(ordered, 'order')} to be made, ${counted(quoted, 'quote')} out`
          )}
        </h1>
        <div className="no-print flex flex-wrap gap-2">
          <Link href="/orders/sheet" className="btn btn-lg">
            Line sheet
          </Link>
          <Link href="/orders/new" className="btn btn-primary btn-lg">
            Write a quote
          </Link>
        </div>
      </div>
      {(held > 0 || owed > 0) && (
        <p className="muted">
          {held > 0 && (
            <>
              <Money of={held} /> is paid for what is not handed over yet.{' '}
            </>
          )}
          {owed > 0 && (
            <>
              <Money of={owed} /> is owed of what was.
            </>
          )}
        </p>
      )}
      <ListFilters
        label="Orders"
        action="/orders"
        placeholder="A buyer, a wish, or a number like Q-0012"
        chosen={asked}
        selects={[
          {
            name: 'state',
            label: 'Which',
            none: 'All',
            choices: ['open', ...ORDER_STATES].map((value) => ({ value, text: value })),
          },
          sortChoice(Object.keys(ORDER_SORTINGS)),
        ]}
      />
      {orders.length === 0 && <p className="leaf mt-4 p-6">No order is like that.</p>}
      {orders.length > 0 && (
        <ul className="leaf mt-4 p-4" aria-label="Orders">
          {orders.map((order) => (
            <Listed key={order.number} order={order} />
          ))}
        </ul>
      )}
      <MorePages of="of the orders" action="/orders" query={query} next={next} more="Further back" />
    </>
  );
}

function Listed({ order }: { order: OrderListed }) {
  const { number, buyer, names, channel, standing, gross, paid } = order;
  return (
    <li className="border-b border-base-300 last:border-b-0">
      <Link
        href={`/orders/${tag('order', number)}`}
        className="grid min-h-14 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1 hover:bg-base-200 sm:grid-cols-[5rem_minmax(0,1fr)_12rem_8rem]"
      >
        <span className="muted">{tag('order', number)}</span>
        <span className="order-last col-span-2 [overflow-wrap:anywhere] sm:order-none sm:col-span-1">
          <span className="font-semibold">{buyer}</span> {names} <span className="muted">· {channel}</span>
        </span>
        <span className="text-sm">
          <Standing order={order} />
        </span>
        <span className="order-last col-span-2 text-right sm:order-none sm:col-span-1">
          <span className="block font-semibold">
            <Money of={gross} />
          </span>
          {paid > 0 && standing !== 'handed over' && (
            <span className="muted block text-sm">
              <Money of={paid} /> paid
            </span>
          )}
        </span>
      </Link>
    </li>
  );
}

/** How it stands, with the day that goes with that. */
function Standing({ order: { standing, validUntil, dueOn, payBy, quotedOn } }: { order: OrderListed }) {
  const day = {
    quoted: validUntil,
    lapsed: validUntil,
    ordered: dueOn,
    late: dueOn,
    owed: payBy,
    overdue: payBy,
    'handed over': null,
    cancelled: null,
  }[standing];
  const before = standing === 'quoted' ? 'until' : standing === 'ordered' ? 'for' : 'by';
  return (
    <span className={IS_URGENT[standing] ? 'border-l-4 border-warning pl-2 font-semibold' : 'muted'}>
      {STANDING_SAID[standing]}
      {day ? (
        <>
          {' '}
          {before} <Day at={day} />
        </>
      ) : (
        standing === 'quoted' && (
          <>
            {' '}
            on <Day at={quotedOn} />
          </>
        )
      )}
    </span>
  );
}
