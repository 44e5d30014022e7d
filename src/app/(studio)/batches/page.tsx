import { Link } from '@/ui/Link';
import { tag } from '@/core/tag';
import { BatchQuery } from '@/studio/batches/batches.input';
import { BATCH_STATES } from '@/core/batch/batchState';
import { BATCH_SORTINGS, listBatches, type BatchSummary } from '@/studio/batches/batches';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { ListFilters } from '@/ui/ListFilters';
import { narrowedBy, sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { todayOf } from '@/studio/kernel/useCase';
import { Day } from '@/ui/When';
import { pageMember } from '../../lib/member';
import { askedOfList, type Search } from '@/app/lib/search';
import { dueIn, hours } from './due';

export const metadata = { title: 'Batches' };

const STANDING: Readonly<Record<BatchSummary['planning'], string>> = {
  none: 'its cuts are not planned',
  working: 'its cuts are being planned',
  planned: 'its cuts are planned',
  stale: 'its cuts have to be planned again',
  failed: 'its cuts could not be planned',
};

export default async function BatchesPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { query, asked, isAsked } = await askedOfList(searchParams, BatchQuery);
  const { batches, total, open, nextDue, next } = await listBatches(session, query);
  if (total === 0 && !isAsked)
    return (
      <EmptyPlace title="No batch is planned" next={{ href: '/batches/new', text: 'Plan a batch' }}>
        A batch is everything that is made for a fair or an order. It says what you have enough of, what to
        buy, and how to cut it all with the least waste.
      </EmptyPlace>
    );
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {open} {open === 1 ? 'batch' : 'batches'} to make
          {nextDue !== null && `, the next ${dueIn(nextDue, todayOf(session))}`}
          {isAsked && <span className="muted"> under this filter</span>}
        </h1>
        <div className="flex flex-wrap gap-3">
          <Link href="/batches/makeable" className="btn btn-lg">
            What could I make?
          </Link>
          <Link href="/batches/hours" className="btn btn-lg">
            Will it be ready?
          </Link>
          <Link href="/batches/new" className="btn btn-primary btn-lg">
            Plan a batch
          </Link>
        </div>
      </div>
      <ListFilters
        label="Batches"
        action="/batches"
        placeholder="Words or a number, like R-0003"
        chosen={asked}
        selects={[narrowedBy('state', 'Standing', BATCH_STATES), sortChoice(Object.keys(BATCH_SORTINGS))]}
      />
      {batches.length === 0 && <p className="leaf mt-4 p-6">No batch is like that.</p>}
      <ul className="leaf mt-4 divide-y divide-base-300">
        {batches.map(({ number, name, dueOn, state, planning, pieces, made, minutes }) => (
          <li key={number}>
            <Link
              href={`/batches/${tag('batch', number)}`}
              className="grid min-h-14 items-center gap-x-4 px-4 py-2 hover:bg-base-200 sm:grid-cols-[1fr_16rem_12rem]"
            >
              <span className="text-lg [overflow-wrap:anywhere]">
                {name} <span className="muted text-base">{tag('batch', number)}</span>
              </span>
              <span>
                {pieces} {pieces === 1 ? 'piece' : 'pieces'}
                {made > 0 && `, ${made} made`}
                {state === 'open' && `, ${hours(minutes)}`}
                <span className="muted block text-sm">{state === 'open' ? STANDING[planning] : state}</span>
              </span>
              <span className="sm:text-right">
                {dueOn === null ? (
                  <span className="muted">no day is set</span>
                ) : (
                  <>
                    <Day at={dueOn} />
                    <span className="muted block text-sm">{dueIn(dueOn, todayOf(session))}</span>
                  </>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <MorePages of="batches" action="/batches" query={query} next={next} more="More batches" />
    </>
  );
}
