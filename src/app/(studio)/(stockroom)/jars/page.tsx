import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { tag } from '@/core/tag';
import { formatMass } from '@/core/units/mass';
import { minor, sumCosts } from '@/core/units/money';
import { metalOf } from '@/core/wire/metal';
import { showJars } from '@/studio/scrap/jars';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Cost, Money } from '@/ui/money';
import { JarDrawing } from '@/ui/JarDrawing';
import { Day } from '@/ui/When';
import { Said } from '@/ui/house';

export const metadata = { title: 'Scrap jars' };

export default async function JarsPage() {
  const { session } = await pageMember();
  const jars = await showJars(session);
  if (jars.length === 0) {
    return (
      <EmptyPlace title="The scrap jars are empty">
        What is too short to keep, and what is spoiled, falls into a jar by its metal. Its weight and what it
        cost are kept, and what it would melt to at the day’s price.
      </EmptyPlace>
    );
  }
  const melt = jars.reduce((sum, jar) => sum + (jar.melt ?? 0), 0);
  const isOwner = session.role === 'owner';
  const most = Math.max(...jars.map(({ mass }) => mass));
  const stale = jars.find(({ price }) => price?.stale);
  return (
    <>
      <h1>
        {isOwner && melt > 0 ? (
          <>
            The scrap would melt to about <Money of={minor(melt)} />
          </>
        ) : (
          <>Scrap of {jars.length} metals</>
        )}
        {isOwner && (
          <span className="muted">
            {' '}
            of <Cost of={sumCosts(jars.map(({ cost }) => cost ?? sumCosts([])))} /> that it cost
          </span>
        )}
      </h1>
      {stale?.price && (
        <p className="mt-2 border-l-4 border-warning bg-warning/20 p-3">
          The last metal prices are of <Day at={stale.price.day} />, {stale.price.age} days ago.{' '}
          <Link href="/metal" className="link">
            Fetch today’s
          </Link>
        </p>
      )}
      <ul className="mt-4 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {jars.map((jar) => (
          <li key={jar.number}>
            <Link
              href={`/jars/${tag('scrap', jar.number)}`}
              className="leaf flex min-h-24 items-center gap-4 p-3 hover:bg-base-200"
            >
              <JarDrawing metal={jar.metal} part={jar.mass / Math.max(1, most)} />
              <span>
                <span className="muted text-sm">{tag('scrap', jar.number)}</span>
                <span className="block font-semibold">{metalOf(jar.metal).name}</span>
                <span className="block text-sm">
                  <Said>{formatMass(jar.mass)}</Said>
                  {jar.cost !== null && (
                    <>
                      , cost <Cost of={jar.cost} />
                    </>
                  )}
                </span>
                {isOwner && (
                  <span className="block text-sm">
                    {jar.melt === null ? (
                      <span className="muted">no price of the day</span>
                    ) : (
                      <>
                        melts to <Money of={jar.melt} />
                      </>
                    )}
                  </span>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
