import { Link } from '@/ui/Link';
import { drawerOf } from '@/app/lib/drawers';
import { pageMember } from '@/app/lib/member';
import { askedOfList, type Search } from '@/app/lib/search';
import { showDrawer, type DRAWER_SORTINGS, type DrawerWare } from '@/studio/drawers/drawers';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { ListFilters } from '@/ui/ListFilters';
import { narrowedBy, sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { Cost } from '@/ui/money';
import { DrawerList } from './DrawerList';
import { DrawerQuery } from '@/studio/drawers/drawers.input';
import { Said } from '@/ui/house';

type Params = Promise<{ drawer: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  const { many } = drawerOf((await params).drawer);
  return { title: many.charAt(0).toUpperCase() + many.slice(1) };
}

const STATES = ['free', 'set aside', 'used'] as const;

/** Ways of sorting that mean something in each drawer. */
const SORTS = {
  bead: ['kept', 'newest', 'largest', 'most left'],
  stone: ['kept', 'newest', 'largest'],
  finding: ['kept', 'newest', 'most left'],
  supply: ['kept', 'newest'],
} as const satisfies Readonly<Record<DrawerWare, readonly (keyof typeof DRAWER_SORTINGS)[]>>;

export default async function DrawerPage({ params, searchParams }: { params: Params; searchParams: Search }) {
  const { ware, one, many, receive, slug } = drawerOf((await params).drawer);
  const { session } = await pageMember();
  const { query, asked } = await askedOfList(searchParams, DrawerQuery);
  const page = await showDrawer(session, ware, query);
  const filtered = query.words !== undefined || query.state !== undefined;
  const isOwner = session.role === 'owner';
  if (page.count === 0 && !filtered) {
    return (
      <EmptyPlace
        title={`No ${many} in the drawers yet`}
        next={isOwner ? { href: `/${slug}/receive`, text: receive } : undefined}
      >
        {EMPTY[ware]}
      </EmptyPlace>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {ware === 'supply' || ware === 'stone' ? (
            <>
              {page.count} {page.count === 1 ? one : many}
            </>
          ) : (
            <>
              <Said>{page.quantity.toLocaleString('en-US')}</Said> {page.quantity === 1 ? one : many} in{' '}
              {page.count} {page.count === 1 ? 'lot' : 'lots'}
            </>
          )}
          {page.cost !== null && (
            <>
              , carrying <Cost of={page.cost} />
            </>
          )}
          {filtered && <span className="muted"> under this filter</span>}
        </h1>
        <div className="no-print flex flex-wrap gap-2">
          {ware === 'finding' && (
            <Link href="/findings/make" className="btn btn-lg">
              Make findings
            </Link>
          )}
          {isOwner && (
            <Link href={`/${slug}/receive`} className="btn btn-primary btn-lg">
              {receive}
            </Link>
          )}
        </div>
      </div>
      <ListFilters
        label={many}
        action={`/${slug}`}
        placeholder="Words or a place"
        chosen={asked}
        selects={[
          ...(ware === 'stone'
            ? [{ ...narrowedBy('state', 'Which stones', STATES), none: 'Free and set aside' }]
            : []),
          sortChoice(SORTS[ware]),
        ]}
      />
      {page.pieces.length === 0 ? (
        <p className="leaf mt-4 p-6">Nothing in the drawers is like that.</p>
      ) : (
        <DrawerList pieces={page.pieces} slug={slug} />
      )}
      <MorePages of={many} action={`/${slug}`} query={query} next={page.next} more="Further in the drawer" />
    </>
  );
}

const EMPTY = {
  bead: 'Beads come by the strand or loose. Say what they are, how large, and how wide their hole is: then every wire that passes is known.',
  stone: 'Each stone is kept by itself, with its measures by the calliper. It is drawn life size.',
  finding: 'Jump rings, head pins, clasps: bought by the dozen or the gross, or made here out of wire.',
  supply: 'Polish, antiquing, packaging: what every finished piece uses up a little of.',
} as const;
