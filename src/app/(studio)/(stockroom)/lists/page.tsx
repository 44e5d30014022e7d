import { pageOwner } from '@/app/lib/member';
import { STOCK_LISTS } from '@/studio/lists/lists';
import { BringIn } from './BringIn';

export const metadata = { title: 'Lists in and out' };

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
        {lists.length + 1} lists go out as CSV, {lists.length} come in
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
        <section className="leaf p-4">
          <h2>Take out</h2>
          <ul className="mt-2">
            {[...lists, { id: 'ledger', title: 'Ledger' }].map(({ id, title }) => (
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
        <BringIn lists={lists} />
      </div>
    </>
  );
}
