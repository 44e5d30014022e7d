import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { tag } from '@/core/tag';
import { listCounts } from '@/studio/counting/counting';
import { listPlaces } from '@/studio/stock/places';
import { Day } from '@/ui/When';
import { PlaceList } from './PlaceList';

export const metadata = { title: 'Counting' };

export default async function CountsPage() {
  const { session } = await pageMember();
  const [places, counts] = await Promise.all([listPlaces(session), listCounts(session)]);
  const open = counts.filter(({ postedAt }) => postedAt === null);
  return (
    <>
      <h1>
        {open.length > 0
          ? `${open.length} ${open.length === 1 ? 'count is' : 'counts are'} not posted yet`
          : `${places.length} ${places.length === 1 ? 'place' : 'places'} to count`}
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
        <PlaceList places={places} />
        <section className="leaf overflow-x-auto p-4">
          <h2>Counts</h2>
          {counts.length === 0 && <p className="muted mt-2">Nothing was counted yet.</p>}
          <ul className="mt-2">
            {counts.map((count) => (
              <li key={count.number} className="border-b border-base-300 last:border-b-0">
                <Link
                  href={`/counts/${tag('count', count.number)}`}
                  className="flex min-h-12 flex-wrap items-center gap-x-3 py-1 hover:bg-base-200"
                >
                  <span className="muted">{tag('count', count.number)}</span>
                  <span className="font-semibold">{count.placeName}</span>
                  <span className="ml-auto text-sm">
                    {count.counted} of {count.lines} counted,{' '}
                    {count.differences === 1 ? '1 difference' : `${count.differences} differences`}
                    {' · '}
                    {count.postedAt ? (
                      <>
                        posted <Day at={count.postedAt} />
                      </>
                    ) : (
                      <strong>open</strong>
                    )}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}
