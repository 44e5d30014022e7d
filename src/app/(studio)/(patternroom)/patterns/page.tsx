import { counted } from '@/core/units/counted';
import { Link } from '@/ui/Link';
import { minutesOf, spanOf } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { ImportPattern } from './ImportPattern';
import { madeSaid } from './madeSaid';
import { listPatterns } from '@/studio/patterns/patterns';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { MorePages } from '@/ui/MorePages';
import { PatternDrawing } from '@/ui/PatternDrawing';
import { PatternFilters } from '@/app/lib/PatternFilters';
import { techniqueOf } from '@/core/techniques/registry';
import { PatternPicture } from '@/ui/craft/PiecesDrawn';
import { Ruler } from '@/ui/Ruler';
import { pageMember } from '@/app/lib/member';
import { askedOfList, type Search } from '@/app/lib/search';
import { PatternQuery } from '@/studio/patterns/patterns.input';

export const metadata = { title: 'Pattern room' };

export default async function PatternsPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { query, asked, isAsked } = await askedOfList(searchParams, PatternQuery);
  const { patterns, total, specs, next } = await listPatterns(session, query);
  const isOwner = session.role === 'owner';
  const span = spanOf(patterns.map(({ body }) => body.cuts));
  if (total === 0 && !isAsked) {
    return (
      <>
        <EmptyPlace
          title="No pattern is written yet"
          next={isOwner ? { href: '/patterns/compose', text: 'Compose the first pattern' } : undefined}
          or={isOwner ? { href: '/patterns/starters', text: 'Take copies of starter patterns' } : undefined}
        >
          A pattern says which wires a piece takes, how long each is cut and why, what beads and findings go
          with it, and how long each step takes. The next piece is then measured, not guessed.
        </EmptyPlace>
        {isOwner && <ImportPattern />}
      </>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {counted(total, 'pattern')} in the room
          {isAsked && <span className="muted"> under this filter</span>}
        </h1>
        {isOwner && (
          <div className="no-print flex flex-wrap gap-2">
            <Link href="/patterns/starters" className="btn btn-lg">
              Starter patterns
            </Link>
            <Link href="/patterns/new" className="btn btn-lg">
              Write one by hand
            </Link>
            <Link href="/patterns/compose" className="btn btn-primary btn-lg">
              Compose a pattern
            </Link>
          </div>
        )}
      </div>
      <PatternFilters action="/patterns" chosen={asked} />
      {patterns.length === 0 && <p className="leaf mt-4 p-6">No pattern is like that.</p>}
      <div className="mt-4 grid grid-cols-1 gap-4 sm:grid-cols-2 xl:grid-cols-3">
        <div className="px-4">
          <p className="muted text-sm">Every wire below is drawn to this ruler</p>
          <Ruler span={span} label="Ruler for all the patterns" />
        </div>
      </div>
      <ul className="mt-2 grid grid-cols-1 gap-4 sm:grid-cols-2 xl:grid-cols-3">
        {patterns.map(({ number, name, kind, body, madeCount }) => {
          const { each } = minutesOf(body);
          const wires = body.cuts.reduce((sum, { count }) => sum + count, 0);
          return (
            <li key={number}>
              <Link
                href={`/patterns/${tag('pattern', number)}`}
                className="leaf flex h-full flex-col p-4 hover:border-primary"
              >
                <span className="flex items-baseline justify-between gap-3">
                  <span className="font-display font-semibold [overflow-wrap:anywhere]">{name}</span>
                  <span className="muted text-sm">{tag('pattern', number)}</span>
                </span>
                <PatternPicture
                  of={{ ...body, composition: body.composition }}
                  specs={specs}
                  techniques={techniqueOf}
                  label={name}
                />
                <span className="mt-2 mb-3 block">
                  <PatternDrawing cuts={body.cuts} specs={specs} small span={span} />
                </span>
                <span className="muted mt-auto text-sm">
                  {kind} · {wires} {wires === 1 ? 'wire' : 'wires'} · {each} min · {madeSaid(madeCount)}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      <MorePages of="patterns" action="/patterns" query={query} next={next} more="More patterns" />
      {isOwner && <ImportPattern />}
    </>
  );
}
