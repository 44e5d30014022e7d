import { askedOfList, type Search } from '@/app/lib/search';
import { pageOwner } from '@/app/lib/member';
import { counted } from '@/core/units/counted';
import { CUSTOMER_SORTINGS, listCustomers } from '@/studio/selling/customers';
import { CustomersQuery } from '@/studio/selling/customers.input';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { ListFilters } from '@/ui/ListFilters';
import { sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';
import { CustomerForm } from './CustomerForm';

export const metadata = { title: 'Customers' };

/** Who buys, as far as it is written down. */
export default async function CustomersPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const { query, asked, isAsked } = await askedOfList(searchParams, CustomersQuery);
  const { customers, total, next } = await listCustomers(session, query);
  return (
    <>
      <h1>
        {total === 0 && !isAsked ? 'Who buys from you?' : counted(total, 'customer')}
        {isAsked && <span className="muted"> under this filter</span>}
      </h1>
      <p className="muted">
        Write down only what you need, and only with their leave. Each can be given all that stands about
        them, and be erased.
      </p>
      {(total > 0 || isAsked) && (
        <ListFilters
          label="Customers"
          action="/customers"
          placeholder="A name, a ring size, a wish"
          chosen={asked}
          selects={[sortChoice(Object.keys(CUSTOMER_SORTINGS))]}
        />
      )}
      <div className="leaf no-print mt-3 px-4">
        <Fold title="Write somebody down" open={total === 0 && !isAsked}>
          <CustomerForm key={total} id={null} />
        </Fold>
      </div>
      {customers.length === 0 && isAsked && <p className="leaf mt-4 p-6">Nobody is like that.</p>}
      {customers.length > 0 && (
        <ul className="leaf mt-4 p-4" aria-label="Customers">
          {customers.map(({ id, name, ringSizes, wishes, sales, gross, last }) => (
            <li key={id} className="border-b border-base-300 last:border-b-0">
              <Link
                href={`/customers/${id}`}
                className="grid min-h-14 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1 hover:bg-base-200"
              >
                <span className="[overflow-wrap:anywhere]">
                  <span className="font-semibold">{name}</span>{' '}
                  <span className="muted">
                    {[ringSizes, wishes].filter((each) => each !== '').join(' · ')}
                  </span>
                </span>
                <span className="text-right">
                  {sales === 0 ? (
                    <span className="muted">nothing bought yet</span>
                  ) : (
                    <>
                      <Money of={gross} />
                      <span className="muted block text-sm">
                        {counted(sales, 'receipt')}
                        {last && (
                          <>
                            , last <Day at={last} />
                          </>
                        )}
                      </span>
                    </>
                  )}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {total > 0 && (
        <p className="no-print mt-3">
          <a href="/export/customers.csv" className="btn" download>
            All of them as CSV
          </a>
        </p>
      )}
      <MorePages of="of the customers" action="/customers" query={query} next={next} more="Further down" />
    </>
  );
}
