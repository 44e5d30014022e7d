import { isUUID } from 'class-validator';
import { notFound } from 'next/navigation';
import { pageMember } from '@/app/lib/member';
import { numberOnTag } from '@/core/tag';
import { todayOf } from '@/studio/kernel/useCase';
import { customerNames } from '@/studio/selling/customers';
import { forSale, openChannels } from '@/studio/selling/sales';
import { showUnsettled } from '@/studio/selling/unsettled';
import { Fold } from '@/ui/Fold';
import { Moment } from '@/ui/When';
import { SettleForm } from './SettleForm';
import { NoSale } from './NoSale';

export const metadata = { title: 'A sale to be settled' };

type Params = Promise<{ id: string }>;

/** A sale of a stall that could not be entered as it was told: somebody says how it really was. */
export default async function UnsettledPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const { id } = await params;
  const sale = isUUID(id) ? await showUnsettled(session, id) : undefined;
  if (!sale) notFound();
  const numbers = sale.typed.pieces.flatMap(({ piece }) => numberOnTag('piece', piece) ?? []);
  const [channels, begun] = [await openChannels(session), await forSale(session, numbers)];
  return (
    <>
      <h1>A sale to be settled</h1>
      <p className="muted">
        Made at a stall by {sale.by}, <Moment at={sale.madeAt} />
      </p>
      <p className="mt-2 border-l-4 border-error p-2 font-semibold">{sale.why}</p>
      <ul className="mt-2 max-w-3xl list-disc pl-6">
        <li>Was it another piece? Take the wrong one out below and add the one that is gone.</li>
        <li>
          Is the other receipt the wrong one? Take its piece back there first; then it can be entered here.
        </li>
        <li>Was it told twice, or did the buyer think better of it? Then it was no sale.</li>
      </ul>
      <SettleForm
        channels={channels}
        begun={begun}
        today={todayOf(session)}
        names={await customerNames(session)}
        sale={{ id: sale.id, typed: sale.typed }}
      />
      {session.role === 'owner' && (
        <div className="no-print mt-4 max-w-3xl">
          <Fold title="It was no sale">
            <NoSale id={sale.id} />
          </Fold>
        </div>
      )}
    </>
  );
}
