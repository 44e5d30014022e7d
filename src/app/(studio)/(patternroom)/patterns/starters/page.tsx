import { pageOwner } from '@/app/lib/member';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/techniques/registry';
import { listStarters } from '@/studio/patterns/starters';
import { PatternPicture } from '@/ui/craft/PiecesDrawn';
import { Link } from '@/ui/Link';
import { TakeStarters } from './TakeStarters';

export const metadata = { title: 'Starter patterns' };

export default async function StartersPage() {
  const { session } = await pageOwner();
  const { starters, specs } = await listStarters(session);
  const left = starters.filter(({ isTaken }) => !isTaken);
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div className="max-w-3xl">
          <h1>
            {left.length === 0
              ? 'Every starter pattern is among yours'
              : `${left.length} starter ${left.length === 1 ? 'pattern' : 'patterns'} to take a copy of`}
          </h1>
          <p className="muted mt-1">
            A copy is yours: change it, rename it, make it for another stone. It is cut from your own wires
            where you have them; the others are named, and its page says what would have to be bought.
          </p>
        </div>
        {left.length > 0 && (
          <TakeStarters names={left.map(({ name }) => name)} text={`Take all ${left.length}`} isMain />
        )}
      </div>
      <ul className="mt-4 grid grid-cols-1 gap-4 sm:grid-cols-2 xl:grid-cols-3">
        {starters.map(({ name, kind, notes, composition, parts, isTaken }) => {
          const { cuts, minutes } = resolve(composition, specs, techniqueOf);
          const wires = cuts.reduce((sum, { count }) => sum + count, 0);
          return (
            <li key={name} className="leaf flex flex-col p-4">
              <h2>{name}</h2>
              <PatternPicture
                of={{ composition, cuts: [], parts }}
                specs={specs}
                techniques={techniqueOf}
                label={name}
              />
              <p className="mt-2">{notes}</p>
              <p className="muted mt-1 text-sm">
                {kind} · {wires} {wires === 1 ? 'wire' : 'wires'} · {Math.round(minutes)} min
              </p>
              <div className="mt-auto flex flex-wrap items-center gap-2 pt-3">
                {isTaken ? (
                  <p className="muted">Already among your patterns.</p>
                ) : (
                  <TakeStarters names={[name]} text="Take a copy" of={name} />
                )}
                <Link
                  href={`/patterns/compose?${new URLSearchParams({ starter: name }).toString()}`}
                  className="btn btn-ghost"
                  aria-label={`Begin a pattern from it: ${name}`}
                >
                  Begin a pattern from it
                </Link>
              </div>
            </li>
          );
        })}
      </ul>
    </>
  );
}
