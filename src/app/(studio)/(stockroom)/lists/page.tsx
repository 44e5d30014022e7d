import { pageOwner } from '@/app/lib/member';
import { Fragment } from 'react';
import { ACCOUNT_LISTS } from '@/studio/lists/accounts';
import { CUSTOMER_LIST } from '@/studio/lists/customerList';
import { STOCK_LISTS } from '@/studio/lists/lists';
import { Fold } from '@/ui/Fold';
import { BringIn } from './BringIn';

export const metadata = { title: 'Lists in and out' };

/** Lists that only go out, each with what stands in its columns. */
function ForTheAccountant() {
  return (
    <section className="leaf p-4">
      <h2>For the accountant</h2>
      <ul className="mt-2">
        {ACCOUNT_LISTS.map(({ id, title, columns }) => (
          <li key={id} className="border-b border-base-300 py-1 last:border-b-0">
            <div className="flex min-h-12 items-center justify-between">
              <span className="font-semibold">{title}</span>
              <a href={`/export/${id}.csv`} className="btn btn-sm min-h-11" download>
                Take {title.toLowerCase()} out
              </a>
            </div>
            <Fold title={`Columns of ${title.toLowerCase()}`}>
              <dl className="grid grid-cols-[auto_1fr] gap-x-4 text-sm">
                {columns.map(([name, meaning]) => (
                  <Fragment key={name}>
                    <dt className="font-semibold">{name}</dt>
                    <dd>{meaning}</dd>
                  </Fragment>
                ))}
              </dl>
            </Fold>
          </li>
        ))}
      </ul>
    </section>
  );
}

export default async function ListsPage() {
  await pageOwner();
  const lists = STOCK_LISTS.map(({ id, title, columns }) => ({
    id,
    title,
    columns: columns.map((each) => each.title),
  }));
  return (
    <>
      <h1>
        {lists.length + 2 + ACCOUNT_LISTS.length} lists go out as CSV, {lists.length} come in
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
        <section className="leaf p-4">
          <h2>Take out</h2>
          <ul className="mt-2">
            {[...lists, { id: 'ledger', title: 'Ledger' }, CUSTOMER_LIST].map(({ id, title }) => (
              <li
                key={id}
                className="flex min-h-12 items-center justify-between border-b border-base-300 last:border-b-0"
              >
                <span className="font-semibold">{title}</span>
                <a href={`/export/${id}.csv`} className="btn btn-sm min-h-11" download>
                  Take {title.toLowerCase()} out
                </a>
              </li>
            ))}
          </ul>
          <p className="muted mt-2 text-sm">
            Lengths in mm, weights in g, to the last figure: what goes out comes in again as it was.
          </p>
        </section>
        <div className="space-y-4">
          <BringIn lists={lists} />
          <ForTheAccountant />
        </div>
      </div>
    </>
  );
}
