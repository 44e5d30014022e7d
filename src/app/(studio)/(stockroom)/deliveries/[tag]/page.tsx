import { pageOwner } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { pathOf, tag } from '@/core/tag';
import { formatMoney } from '@/core/units/money';
import { showDelivery } from '@/studio/deliveries/deliveries';
import { Amount } from '@/ui/Amount';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function DeliveryPage({ params }: { params: Params }) {
  const { session, currency: own } = await pageOwner();
  const delivery = orNotFound(await showDelivery(session, await tagParam('delivery', params)));
  const { number, supplier, note, currency, lines, total, postage, tax, sharedBy, isTakenBack } = delivery;
  const inTheirs = (amount: typeof total) => (amount === 0 ? '' : formatMoney(amount, currency));
  const items = lines.map(({ ware, number: each }) => tag(ware, each)).join(',');
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {tag('delivery', number)} from {supplier ?? 'somewhere'}: {lines.length}{' '}
          {lines.length === 1 ? 'line' : 'lines'}, {formatMoney(total, currency)}
          {isTakenBack && <span className="muted"> · taken back</span>}
        </h1>
        <div className="no-print flex flex-wrap gap-2">
          <Link href={`/labels?items=${items}`} className="btn">
            Print the labels
          </Link>
          <Link href={`/deliveries/new?again=${tag('delivery', number)}`} className="btn btn-primary">
            The same again
          </Link>
        </div>
      </div>
      <p className="mt-1">
        Bought <Day at={delivery.boughtOn} />, received <Day at={delivery.receivedAt} /> by{' '}
        {delivery.receivedBy}
        {note && <span className="muted"> · {note}</span>}
      </p>
      <section className="leaf mt-4 overflow-x-auto p-4">
        <table className="w-full">
          <caption className="sr-only">Lines, with their shares of the postage and the tax</caption>
          <thead>
            <tr className="muted text-left text-sm">
              <th scope="col">What came</th>
              <th scope="col" className="text-right">
                How much
              </th>
              <th scope="col" className="text-right">
                Price
              </th>
              <th scope="col" className="text-right">
                Postage
              </th>
              <th scope="col" className="text-right">
                Tax
              </th>
              <th scope="col" className="text-right">
                Cost, all in
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={`${line.ware} ${line.number}`} className="border-t border-base-300">
                <td className="py-2">
                  <Link href={pathOf(line.ware, line.number)} className="link">
                    {tag(line.ware, line.number)}
                  </Link>{' '}
                  {line.name}
                </td>
                <td className="text-right">
                  <Amount ware={line.ware} unit={line.unit} of={line.quantity} />
                </td>
                <td className="text-right">{line.costIs === 'free' ? 'a gift' : inTheirs(line.goods)}</td>
                <td className="text-right">{inTheirs(line.postage)}</td>
                <td className="text-right">{inTheirs(line.tax)}</td>
                <td className="text-right font-semibold">
                  <Money of={line.cost} />
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr className="border-t-2 border-base-content/40">
              <th scope="row" colSpan={3} className="py-2 text-left font-normal">
                Postage by {sharedBy}, tax by value
              </th>
              <td className="text-right">{inTheirs(postage)}</td>
              <td className="text-right">{inTheirs(tax)}</td>
              <td className="text-right font-semibold">
                {currency === own
                  ? formatMoney(total, currency)
                  : `${formatMoney(total, currency)} on the invoice`}
              </td>
            </tr>
          </tfoot>
        </table>
        <p className="muted mt-3 text-sm">
          A line is wrong? Take one of its movements back in the{' '}
          <Link href="/ledger?kind=received" className="link">
            ledger
          </Link>
          : the whole delivery goes back with it. Then press “The same again” and mend it.
        </p>
      </section>
    </>
  );
}
