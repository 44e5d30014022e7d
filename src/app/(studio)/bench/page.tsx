import { SmallPicture } from '@/ui/SmallPicture';
import { Link } from '@/ui/Link';
import { minutesOf, spanOf } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { readyInTrays, type ReadyInTray } from '@/studio/making/proposeMaking';
import { openSittings, type OpenSitting } from '@/studio/sittings/sittings';
import { Moment } from '@/ui/When';
import { listPatterns } from '@/studio/patterns/patterns';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { MorePages } from '@/ui/MorePages';
import { PatternDrawing } from '@/ui/PatternDrawing';
import { PatternFilters } from '@/app/lib/PatternFilters';
import { pageMember } from '../../lib/member';
import { askedOfList, type Search } from '@/app/lib/search';
import { PatternQuery } from '@/studio/patterns/patterns.input';

export const metadata = { title: 'Bench' };

export default async function BenchPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { query, asked, isAsked } = await askedOfList(searchParams, PatternQuery);
  const { patterns, total, specs, next } = await listPatterns(session, query);
  if (total === 0 && !isAsked) {
    return (
      <EmptyPlace
        title="Nothing to make yet"
        next={{ href: session.role === 'owner' ? '/patterns/new' : '/patterns', text: 'To the pattern room' }}
      >
        The bench works from a pattern. Write one first; then its wires are proposed here, each from the
        length it fits best.
      </EmptyPlace>
    );
  }
  const ready = await readyInTrays(session);
  const sittings = await openSittings(session);
  const span = spanOf(patterns.map(({ body }) => body.cuts));
  return (
    <>
      <h1>{headline(total, isAsked)}</h1>
      {sittings.length > 0 && !isAsked && <GoingOn sittings={sittings} />}
      {ready.length > 0 && !isAsked && <Ready ready={ready} />}
      <PatternFilters action="/bench" chosen={asked} />
      {patterns.length === 0 && <p className="leaf mt-4 p-6">No pattern is like that.</p>}
      <ul className="leaf mt-4 divide-y divide-base-300">
        {patterns.map(({ number, name, body }) => (
          <li key={number}>
            <Link
              href={`/bench/${tag('pattern', number)}`}
              className="grid min-h-14 items-center gap-x-4 px-4 py-2 text-lg hover:bg-base-200 grid-cols-[5rem_1fr] sm:grid-cols-[5rem_1fr_18rem_6rem]"
            >
              <SmallPicture
                of="pattern"
                number={number}
                name={name}
                className="row-span-2 h-16 w-20 sm:row-span-1"
              />
              <span className="[overflow-wrap:anywhere]">
                {name} <span className="muted text-base">{tag('pattern', number)}</span>
              </span>
              <span className="hidden sm:block">
                <PatternDrawing cuts={body.cuts} specs={specs} small span={span} />
              </span>
              <span className="muted text-base sm:text-right">{minutesOf(body).each} min</span>
            </Link>
          </li>
        ))}
      </ul>
      <MorePages of="patterns" action="/bench" query={query} next={next} more="More patterns" />
    </>
  );
}

function headline(total: number, isAsked: boolean): string {
  const patterns = `${total} ${total === 1 ? 'pattern' : 'patterns'}`;
  if (isAsked) return `${patterns} under this filter`;
  return total === 1 ? 'One pattern is there to make' : `Which of your ${patterns} is on the bench?`;
}

/** Sittings that were begun and go on, on whatever device. */
function GoingOn({ sittings }: { sittings: readonly OpenSitting[] }) {
  return (
    <section className="leaf mt-4 p-4">
      <h2>Begun at the bench</h2>
      <ul className="mt-2 divide-y divide-base-300" aria-label="Begun at the bench">
        {sittings.map(({ id, name, count, maker, begunAt }) => (
          <li key={id}>
            <Link
              href={`/bench/sitting/${id}`}
              className="flex min-h-14 flex-wrap items-center gap-x-4 py-2 text-lg hover:bg-base-200"
            >
              <span className="[overflow-wrap:anywhere]">
                <span className="font-semibold">{count} ×</span> {name}
              </span>
              <span className="muted ml-auto text-base">
                {maker}, since <Moment at={begunAt} />
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What lies cut in the trays of the batches: it comes before anything new. */
function Ready({ ready }: { ready: readonly ReadyInTray[] }) {
  return (
    <section className="leaf mt-4 p-4">
      <h2>Cut and in the tray</h2>
      <ul className="mt-2 divide-y divide-base-300" aria-label="Cut and in the tray">
        {ready.map(({ number, batch, line, name, pieces }) => (
          <li key={`${number}.${line}`}>
            <Link
              href={`/batches/${tag('batch', number)}/make/${line}`}
              className="flex min-h-14 flex-wrap items-center gap-x-4 py-2 text-lg hover:bg-base-200"
            >
              <span className="[overflow-wrap:anywhere]">
                <span className="font-semibold">{pieces} ×</span> {name}
              </span>
              <span className="muted ml-auto text-base">
                for {batch} {tag('batch', number)}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
