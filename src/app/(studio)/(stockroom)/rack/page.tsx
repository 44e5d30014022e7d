import { Link } from '@/ui/Link';
import { showRack } from '@/studio/wire/rack';
import { RackQuery } from '@/studio/wire/rack.input';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Length } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { pageMember } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { RackFilters } from './RackFilters';
import { RackView } from './RackView';

export const metadata = { title: 'Wire rack' };

export default async function RackPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const query = await asked(searchParams, RackQuery);
  const page = await showRack(session, query);
  const { after, ...filter } = query;
  const filtered = Object.keys(filter).length > 0;
  const isOwner = session.role === 'owner';

  if (page.pieceCount === 0 && !filtered) {
    return (
      <EmptyPlace
        title="No wire on the rack yet"
        next={isOwner ? { href: '/rack/receive', text: 'Receive the first wire' } : undefined}
        or={isOwner ? { href: '/lists', text: 'Bring in a list' } : undefined}
      >
        Everything begins with a spool: say what wire it is, how much came and what it cost. From then on
        every millimetre and what it cost stays with it.
      </EmptyPlace>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          <Length of={page.totalLength} short /> of wire in {page.pieceCount}{' '}
          {page.pieceCount === 1 ? 'length' : 'lengths'}
          {page.totalCost !== null && (
            <>
              , worth <Cost of={page.totalCost} />
            </>
          )}
          {filtered && <span className="muted"> under this filter</span>}
        </h1>
        {isOwner && (
          <Link href="/rack/receive" className="btn btn-primary btn-lg no-print">
            Receive wire
          </Link>
        )}
      </div>
      <RackFilters choices={page.filters} chosen={filter} />
      {page.groups.length === 0 ? (
        <p className="leaf mt-4 p-6">
          No wire on the rack is like that.{' '}
          <Link href="/rack" className="link">
            Show all of it
          </Link>
        </p>
      ) : (
        <RackView groups={page.groups} />
      )}
      <nav aria-label="More of the rack" className="no-print mt-4 flex gap-3">
        {after && (
          <Link href={{ pathname: '/rack', query: { ...filter } }} className="btn">
            Back to the beginning
          </Link>
        )}
        {page.next && (
          <Link
            href={{ pathname: '/rack', query: { ...filter, after: page.next } }}
            className="btn"
            rel="next"
          >
            Further along the rack
          </Link>
        )}
      </nav>
    </>
  );
}
