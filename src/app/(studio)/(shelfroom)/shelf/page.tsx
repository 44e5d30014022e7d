import { Link } from '@/ui/Link';
import { dayIn, daysBetween } from '@/core/calendar/day';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { COST_UNITS_PER_MINOR } from '@/core/units/money';
import { isInStock, PIECE_STATES } from '@/core/selling/life';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { SHELF_SORTINGS, showShelf } from '@/studio/shelf/shelf';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { ListFilters } from '@/ui/ListFilters';
import { narrowedBy, sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { Cost, Money } from '@/ui/money';
import { SmallPicture } from '@/ui/SmallPicture';
import { PriceBar } from '@/ui/PriceBar';
import { Day } from '@/ui/When';
import { pageMember } from '@/app/lib/member';
import { askedOfList, type Search } from '@/app/lib/search';
import { todayOf, zoneOf } from '@/studio/kernel/useCase';
import { EVER, ShelfQuery } from '@/studio/shelf/shelf.input';
import { BY_HAND, BY_HELPERS } from '@/studio/shelf/turnPieces.input';
import { stateSaid } from '@/app/lib/turnWords';
import { CHOSEN } from './chosen';
import { ChosenPieces } from './ChosenPieces';

export const metadata = { title: 'Shelf' };

const WAYS = Object.keys(SHELF_SORTINGS);
const WHERE = {
  name: 'state',
  label: 'Where',
  none: 'In the studio or at a shop',
  choices: [...PIECE_STATES, EVER].map((value) => ({ value, text: value })),
};
/** How long a piece is where it is. */
const daysSaid = (days: number): string =>
  days < 1 ? 'there since today' : `there for ${counted(days, 'day')}`;

const UNPRICED = {
  name: 'priced',
  label: 'Priced',
  none: 'Priced or not',
  choices: [{ value: 'no', text: 'without a price' }],
};

export default async function ShelfPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { query, asked, isAsked } = await askedOfList(searchParams, ShelfQuery);
  const page = await showShelf(session, query);
  const { pieces, places, total, unpriced, priceTotal, next } = page;
  const today = todayOf(session);
  const isOwner = session.role === 'owner';
  const dearest = Math.max(
    1,
    ...pieces.map(({ price, cost }) => Math.max(price ?? 0, (cost ?? 0) / COST_UNITS_PER_MINOR)),
  );
  if (total === 0 && !isAsked) {
    return (
      <EmptyPlace
        title="Nothing stands on the shelf yet"
        next={{ href: '/bench', text: 'Make the first piece' }}
      >
        Each piece you make gets its number here, with what it really took and what it should sell for.
      </EmptyPlace>
    );
  }
  return (
    <>
      <h1>
        {total} finished {total === 1 ? 'piece' : 'pieces'}
        {priceTotal !== null && (
          <>
            , priced at <Money of={priceTotal} /> together
          </>
        )}
        {priceTotal !== null && unpriced > 0 && `; ${unpriced} without a price`}
        {isAsked && <span className="muted"> under this filter</span>}
      </h1>
      <ListFilters
        label="The shelf"
        action="/shelf"
        placeholder="Words or a number, like F-0012"
        chosen={asked}
        selects={[
          WHERE,
          ...(places.length > 0
            ? [
                {
                  name: 'place',
                  label: 'In which place',
                  none: 'Wherever it lies',
                  choices: places.map(({ id, name }) => ({ value: id, text: name })),
                },
              ]
            : []),
          narrowedBy('kind', 'Kind', PATTERN_KINDS),
          ...(isOwner ? [UNPRICED] : []),
          sortChoice(isOwner ? WAYS : WAYS.slice(0, 3)),
        ]}
      />
      {pieces.length > 0 && <ChosenPieces turns={isOwner ? BY_HAND : BY_HELPERS} pricesThem={isOwner} />}
      {pieces.length === 0 && <p className="leaf mt-4 p-6">Nothing on the shelf is like that.</p>}
      <ul className="mt-4 grid grid-cols-1 gap-3 sm:grid-cols-2 xl:grid-cols-4">
        {pieces.map(
          ({ number, name, kind, size, flaw, madeAt, price, cost, minutes, state, since, place, photo }) => (
            <li key={number} className="flex flex-col">
              <Link
                href={`/shelf/${tag('piece', number)}`}
                className="leaf flex grow flex-col gap-1 p-3 hover:border-primary"
              >
                <span className="muted flex justify-between text-sm">
                  <span>{tag('piece', number)}</span>
                  <Day at={madeAt} />
                </span>
                <span className="flex gap-2">
                  <SmallPicture of="piece" number={number} name={name} className="h-28 w-full min-w-0" />
                  {photo !== null && (
                    <img
                      src={`/photos/${photo}`}
                      alt={`“${name}”, photographed`}
                      loading="lazy"
                      className="h-28 w-1/2 rounded object-cover"
                    />
                  )}
                </span>
                <span className="font-display font-semibold [overflow-wrap:anywhere]">{name}</span>
                <span className="muted mt-auto text-sm">
                  {kind}
                  {size !== '' && `, ${size}`}
                  {flaw !== '' && `, sold as it is: ${flaw}`} · {Math.round(minutes)} min
                </span>
                {isInStock(state) && (
                  <span className="muted text-sm">
                    {daysSaid(daysBetween(dayIn(zoneOf(session), since), today))}
                  </span>
                )}
                {stateSaid(state, place) !== '' && (
                  <span className="text-sm font-semibold">{stateSaid(state, place)}</span>
                )}
                {cost !== null && <PriceBar cost={cost} price={price} dearest={dearest} />}
                {cost !== null && (
                  <span className="flex items-baseline justify-between">
                    <span className="muted text-sm">
                      cost <Cost of={cost} />
                    </span>
                    <span className="text-lg font-semibold">
                      {price === null ? 'no price yet' : <Money of={price} />}
                    </span>
                  </span>
                )}
              </Link>
              <label className="no-print flex min-h-11 cursor-pointer items-center gap-2">
                <input type="checkbox" className="checkbox checkbox-sm" name={CHOSEN} value={number} />
                Choose {tag('piece', number)}
              </label>
            </li>
          ),
        )}
      </ul>
      <MorePages of="of the shelf" action="/shelf" query={query} next={next} more="Further along the shelf" />
    </>
  );
}
