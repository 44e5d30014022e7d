import { TAG_PATHS } from '@/core/tag';
import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { WARE_WORDS, WARES } from '@/core/stock/ware';
import { sumCosts } from '@/core/units/money';
import { glance } from '@/studio/stock/glance';
import { listToBuy } from '@/studio/toBuy/toBuy';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Cost } from '@/ui/money';
import { ValueBar } from '@/ui/ValueBar';

export const metadata = { title: 'Stockroom' };

export default async function GlancePage() {
  const { session } = await pageMember();
  const [places, short] = await Promise.all([glance(session), listToBuy(session)]);
  const isOwner = session.role === 'owner';
  if (places.length === 0) {
    return (
      <EmptyPlace
        title="The stockroom is empty"
        next={isOwner ? { href: '/rack/receive', text: 'Receive the first wire' } : undefined}
        or={isOwner ? { href: '/lists', text: 'Bring in a list' } : undefined}
      >
        Wire, beads, stones, findings and supplies: what comes in is kept here with where it lies and what it
        cost.
      </EmptyPlace>
    );
  }
  const all = places.flatMap(({ wares }) => wares);
  const ofWare = (ware: string) => all.filter((each) => each.ware === ware);
  const carried = (of: Readonly<typeof all>) => sumCosts(of.map(({ cost }) => cost ?? sumCosts([])));
  const most = Math.max(...places.map(({ wares }) => carried(wares)), 1);
  return (
    <>
      <h1>
        {isOwner ? (
          <>
            The stock cost <Cost of={carried(all)} /> in {places.length}{' '}
            {places.length === 1 ? 'place' : 'places'}
          </>
        ) : (
          <>
            {all.reduce((sum, { pieces }) => sum + pieces, 0)} things lie in {places.length} places
          </>
        )}
        {short.length > 0 && (
          <>
            ;{' '}
            <Link href="/to-buy" className="link">
              {short.length} run out
            </Link>
          </>
        )}
      </h1>
      <section className="leaf mt-4 p-4">
        <h2>What there is</h2>
        <ul className="mt-2">
          {WARES.filter((ware) => ofWare(ware).length > 0).map((ware) => (
            <li key={ware}>
              <Link
                href={TAG_PATHS[ware]}
                className="grid min-h-11 grid-cols-[6rem_minmax(0,1fr)_11rem] items-center gap-3 hover:bg-base-200"
              >
                <span className="inline-block first-letter:uppercase">{WARE_WORDS[ware].many}</span>
                {isOwner ? <ValueBar part={carried(ofWare(ware)) / Math.max(1, carried(all))} /> : <span />}
                <span className="text-right text-sm whitespace-nowrap">
                  {ofWare(ware).reduce((sum, { pieces }) => sum + pieces, 0)} pieces
                  {isOwner && (
                    <>
                      , <Cost of={carried(ofWare(ware))} />
                    </>
                  )}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
      <section className="leaf mt-4 p-4">
        <h2>Where it lies</h2>
        <ul className="mt-2">
          {places.map(({ name, wares }) => (
            <li
              key={name ?? ''}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-base-300 py-2 last:border-b-0 sm:grid-cols-[14rem_minmax(0,1fr)_auto]"
            >
              <span className="font-semibold">{name ?? 'In no place yet'}</span>
              <span className="text-sm max-sm:order-last max-sm:col-span-2">
                {isOwner && <ValueBar part={carried(wares) / most} />}
                {wares
                  .map(
                    ({ ware, pieces }) =>
                      `${pieces} ${pieces === 1 ? WARE_WORDS[ware].one : ware === 'wire' ? 'lengths of wire' : WARE_WORDS[ware].many}`,
                  )
                  .join(', ')}
              </span>
              {isOwner && (
                <span className="text-right">
                  <Cost of={carried(wares)} />
                </span>
              )}
            </li>
          ))}
        </ul>
        <p className="mt-3">
          <Link href="/counts" className="link">
            Count a place
          </Link>
        </p>
      </section>
    </>
  );
}
