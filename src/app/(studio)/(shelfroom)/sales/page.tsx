import { askedOfList, type Search } from '@/app/lib/search';
import { pageMember } from '@/app/lib/member';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { listSales, SALE_SORTINGS } from '@/studio/selling/sales';
import { SalesQuery } from '@/studio/selling/sales.input';
import { listUnsettled } from '@/studio/selling/unsettled';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Link } from '@/ui/Link';
import { ListFilters } from '@/ui/ListFilters';
import { sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';
import { ToSettle } from './ToSettle';

export const metadata = { title: 'Sales' };

/** What was sold, and what came back. */
export default async function SalesPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { query, asked, isAsked } = await askedOfList(searchParams, SalesQuery);
  const { sales, total, gross, tax, left, channels, next } = await listSales(session, query);
  const toSettle = await listUnsettled(session);
  if (total === 0 && !isAsked && toSettle.length === 0)
    return (
      <EmptyPlace title="Nothing is sold yet" next={{ href: '/selling', text: 'Sell the first piece' }}>
        Every sale gets a numbered receipt here, with what of it was tax and fees and what it left.
      </EmptyPlace>
    );
  return (
    <>
      <ToSettle sales={toSettle} />
      <h1>
        {counted(total, 'sale')} for <Money of={gross} />
        {left !== null && (
          <>
            ; <Money of={left} /> came to you
          </>
        )}
        {isAsked && <span className="muted"> under this filter</span>}
      </h1>
      {tax !== 0 && (
        <p className="muted">
          <Money of={tax} /> of it is tax.
        </p>
      )}
      <ListFilters
        label="Sales"
        action="/sales"
        placeholder="A buyer, or a number like N-0012"
        chosen={asked}
        selects={[
          {
            name: 'channel',
            label: 'Where',
            none: 'Wherever',
            choices: channels.map(({ id, name }) => ({ value: id, text: name })),
          },
          {
            name: 'only',
            label: 'What',
            none: 'Sold and come back',
            choices: [{ value: 'returns', text: 'come back' }],
          },
          sortChoice(Object.keys(SALE_SORTINGS)),
        ]}
      />
      {sales.length === 0 && <p className="leaf mt-4 p-6">No sale is like that.</p>}
      <ul className="leaf mt-4 p-4">
        {sales.map((sale) => (
          <li key={sale.number} className="border-b border-base-300 last:border-b-0">
            <Link
              href={`/sales/${tag('sale', sale.number)}`}
              className="grid min-h-14 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1 hover:bg-base-200 sm:grid-cols-[5rem_minmax(0,1fr)_auto_8rem]"
            >
              <span className="muted">{tag('sale', sale.number)}</span>
              <span className="order-last col-span-2 sm:order-none sm:col-span-1">
                <span className="font-semibold [overflow-wrap:anywhere]">{sale.names}</span>{' '}
                <span className="muted">
                  {sale.returnOf !== null && `back from ${tag('sale', sale.returnOf)} · `}
                  {sale.channel}
                  {sale.buyer !== '' && ` · ${sale.buyer}`}
                </span>
              </span>
              <span className="muted text-sm">
                <Day at={sale.soldOn} />
              </span>
              <span className="order-last col-span-2 text-right sm:order-none sm:col-span-1">
                <span className="block font-semibold">
                  <Money of={sale.gross} />
                </span>
                {sale.earned !== null && (
                  <span className="muted block text-sm">
                    <Money of={sale.earned} /> after materials
                  </span>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {session.role === 'owner' && (
        <p className="no-print mt-3">
          <Link href="/sales/bring-in" className="btn">
            Sales from a file
          </Link>
        </p>
      )}
      <MorePages of="of the sales" action="/sales" query={query} next={next} more="Further back" />
    </>
  );
}
