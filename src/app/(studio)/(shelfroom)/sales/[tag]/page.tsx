import { pageMember } from '@/app/lib/member';
import { PaperSums } from '@/app/lib/PaperSums';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { tag } from '@/core/tag';
import { todayOf } from '@/studio/kernel/useCase';
import { receiptOf } from '@/studio/paper/receiptPaper';
import { showSale, type SaleShown } from '@/studio/selling/sales';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import { Cost, Money } from '@/ui/money';
import { PrintButton } from '@/ui/PrintButton';
import { Day } from '@/ui/When';
import { TakeReturn } from './TakeReturn';

export const metadata = { title: 'Sale' };

type Params = Promise<{ tag: string }>;

/** A sale or a return: its receipt, and what of it stayed. */
export default async function SalePage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const sale = orNotFound(await showSale(session, await tagParam('sale', params)));
  const { number, returnOf, lines, order } = sale;
  const out = lines.flatMap(({ piece, returnedBy }) => (piece && returnedBy === null ? [piece] : []));
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <p className="font-semibold">{sale.studio.name}</p>
          <h1>{receiptOf(sale).title}</h1>
          <p>
            <Day at={sale.soldOn} /> · {sale.channel}
            {sale.buyer !== '' && ` · for ${sale.buyer}`}
            {returnOf !== null && (
              <>
                {' · of '}
                <Link href={`/sales/${tag('sale', returnOf)}`} className="link">
                  {tag('sale', returnOf)}
                </Link>
              </>
            )}
            {order !== null && (
              <>
                {' · ordered as '}
                <Link href={`/orders/${tag('order', order)}`} className="link">
                  {tag('order', order)}
                </Link>
              </>
            )}
          </p>
          {sale.address !== '' && <p className="whitespace-pre-line">{sale.address}</p>}
        </div>
        <div className="flex gap-2">
          <a href={`/sales/${tag('sale', number)}/receipt.pdf`} className="btn btn-lg no-print">
            As PDF
          </a>
          <PrintButton />
        </div>
      </div>
      <Receipt sale={sale} />
      {sale.note !== '' && <p className="no-print mt-2">“{sale.note}”</p>}
      <p className="no-print muted mt-2">Written down by {sale.by}. It stays as it is.</p>
      <Kept sale={sale} />
      {returnOf === null && session.role === 'owner' && out.length > 0 && (
        <section className="leaf no-print mt-4 p-4">
          <Fold title="Something comes back">
            <TakeReturn
              key={out.length}
              sale={number}
              pieces={out}
              today={todayOf(session)}
              paidBy={sale.paidBy}
            />
          </Fold>
        </section>
      )}
    </>
  );
}

/** What was sold, what was paid for it, and what of that is tax. */
function Receipt({ sale }: { sale: SaleShown }) {
  const { lines } = sale;
  return (
    <section className="leaf mt-4 overflow-x-auto p-4" aria-label="Receipt">
      <table className="table">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              Asked
            </th>
            <th scope="col" className="text-right">
              Price
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ line, piece, asked, price, returnedBy }) => (
            <tr key={line}>
              <td className="[overflow-wrap:anywhere]">
                {piece ? (
                  <>
                    <Link href={`/shelf/${tag('piece', piece.number)}`} className="link">
                      {piece.name}
                    </Link>{' '}
                    <span className="muted">
                      {tag('piece', piece.number)}
                      {piece.size !== '' && ` · ${piece.size}`}
                    </span>
                  </>
                ) : (
                  'Sending'
                )}
                {returnedBy !== null && (
                  <span className="no-print block font-semibold">
                    came back:{' '}
                    <Link href={`/sales/${tag('sale', returnedBy)}`} className="link">
                      {tag('sale', returnedBy)}
                    </Link>
                  </span>
                )}
              </td>
              <td className="text-right">
                <Money of={asked} />
              </td>
              <td className="text-right">
                <Money of={price} />
              </td>
            </tr>
          ))}
        </tbody>
        <PaperSums sums={receiptOf(sale).sums} />
      </table>
    </section>
  );
}

/** What of it the studio keeps, for its owner. */
function Kept({ sale: { kept } }: { sale: SaleShown }) {
  if (!kept) return null;
  const { fees, sending, left, cost } = kept;
  return (
    <section className="leaf no-print mt-4 p-4" aria-label="What it left">
      <h2>What it left</h2>
      <p>
        <Money of={left} /> after <Money of={fees} /> of fees and <Money of={sending} /> of packing and
        sending.{' '}
        <span className="muted">
          <Cost of={cost} /> of wire, parts and supplies are in it.
        </span>
      </p>
    </section>
  );
}
