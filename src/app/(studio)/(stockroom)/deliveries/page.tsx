import { pageOwner } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { tag } from '@/core/tag';
import { formatMoney } from '@/core/units/money';
import { listDeliveries } from '@/studio/deliveries/deliveries';
import { DeliveriesQuery } from '@/studio/deliveries/deliveries.input';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Link } from '@/ui/Link';
import { Day } from '@/ui/When';

export const metadata = { title: 'Deliveries' };

export default async function DeliveriesPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const { after } = await asked(searchParams, DeliveriesQuery);
  const { deliveries, next } = await listDeliveries(session, after);
  if (deliveries.length === 0)
    return (
      <EmptyPlace title="No delivery yet" next={{ href: '/deliveries/new', text: 'Receive a delivery' }}>
        Several things on one invoice come in together here: each carries its share of the postage and the
        tax, so that a piece costs what its wire and beads really cost.
      </EmptyPlace>
    );
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>Deliveries, the latest first</h1>
        <Link href="/deliveries/new" className="btn btn-primary btn-lg no-print">
          Receive a delivery
        </Link>
      </div>
      <ul className="leaf mt-4 p-4">
        {deliveries.map(({ number, boughtOn, supplier, note, currency, lines, total, isTakenBack }) => (
          <li key={number} className="border-b border-base-300 last:border-b-0">
            <Link
              href={`/deliveries/${tag('delivery', number)}`}
              className="flex min-h-12 flex-wrap items-center gap-x-3 py-1 hover:bg-base-200"
            >
              <span className="muted">{tag('delivery', number)}</span>
              <span className="font-semibold">{supplier ?? 'somewhere'}</span>
              <span className="muted">{note}</span>
              <span className="ml-auto text-sm">
                {lines} {lines === 1 ? 'line' : 'lines'} · {formatMoney(total, currency)} ·{' '}
                <Day at={boughtOn} />
                {isTakenBack && <strong> · taken back</strong>}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {next !== null && (
        <p className="mt-3">
          <Link href={`/deliveries?after=${next}`} className="btn">
            Earlier deliveries
          </Link>
        </p>
      )}
    </>
  );
}
