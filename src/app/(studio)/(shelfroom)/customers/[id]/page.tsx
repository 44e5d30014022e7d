import { isUUID } from 'class-validator';
import { notFound } from 'next/navigation';
import { pageOwner } from '@/app/lib/member';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { minor } from '@/core/units/money';
import { day } from '@/core/calendar/day';
import { showCustomer } from '@/studio/selling/customers';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';
import { CustomerForm } from '../CustomerForm';
import { Erase } from './Erase';

export const metadata = { title: 'Customer' };

type Params = Promise<{ id: string }>;

/** Somebody who buys, and what they bought. */
export default async function CustomerPage({ params }: { params: Params }) {
  const { session } = await pageOwner();
  const { id } = await params;
  const customer = isUUID(id) ? await showCustomer(session, id) : null;
  if (!customer) notFound();
  const { name, contact, ringSizes, wishes, since, bought } = customer;
  const facts = [
    ['How to reach them', contact],
    ['Ring sizes', ringSizes],
    ['Wishes', wishes],
  ] as const;
  return (
    <>
      <p className="muted no-print">
        <Link href="/customers" className="link">
          Customers
        </Link>
      </p>
      <h1 className="[overflow-wrap:anywhere]">{name}</h1>
      <p className="muted">
        written down on <Day at={since} />
      </p>
      <p className="no-print mt-2 flex flex-wrap gap-2">
        <Link href={`/orders/new?buyer=${encodeURIComponent(name)}`} className="btn min-h-11">
          Write a quote
        </Link>
        <Link href={`/orders?words=${encodeURIComponent(name)}`} className="btn min-h-11">
          Their orders
        </Link>
      </p>
      <dl className="leaf mt-3 grid grid-cols-1 gap-x-6 gap-y-2 p-4 sm:grid-cols-[12rem_1fr]">
        {facts.map(([what, said]) => (
          <div key={what} className="contents">
            <dt className="font-semibold">{what}</dt>
            <dd className="[overflow-wrap:anywhere] whitespace-pre-line">{said === '' ? '–' : said}</dd>
          </div>
        ))}
      </dl>
      <section className="leaf mt-3 p-4" aria-label="Bought">
        <h2>
          {bought.length === 0 ? (
            'Nothing bought yet'
          ) : (
            <>
              {counted(bought.length, 'receipt')} for{' '}
              <Money of={minor(bought.reduce((sum, { gross }) => sum + gross, 0))} />
            </>
          )}
        </h2>
        <ul>
          {bought.map(({ number, soldOn, names, gross }) => (
            <li key={number} className="flex flex-wrap gap-x-4 border-t border-base-300 py-2">
              <Link href={`/sales/${tag('sale', number)}`} className="link">
                {tag('sale', number)}
              </Link>
              <Day at={day(soldOn)} />
              <span className="[overflow-wrap:anywhere]">{names}</span>
              <span className="ml-auto">
                <Money of={gross} />
              </span>
            </li>
          ))}
        </ul>
      </section>
      <div className="leaf no-print mt-3 px-4">
        <Fold title="Change what stands here">
          <CustomerForm id={id} values={{ name, contact, ringSizes, wishes }} />
        </Fold>
        <Fold title="All that stands about them">
          <p>
            Everything above in one file, to be given to them.{' '}
            <a className="btn min-h-11" href={`/customers/${id}/data.json`} download>
              Take it out
            </a>
          </p>
        </Fold>
        <Fold title="Erase them">
          <p>
            What stands here is erased for good. Receipts keep the name that stands on them: what is numbered
            for the tax office is not changed.
          </p>
          <Erase id={id} name={name} />
        </Fold>
      </div>
    </>
  );
}
