import { todayOf } from '@/studio/kernel/useCase';
import { pageOwner } from '@/app/lib/member';
import { perTroyOunce, PRICED_METALS } from '@/core/metalPrice/metalPrice';
import { COST_UNITS_PER_MINOR, cost } from '@/core/units/money';
import { readMetalPrices } from '@/studio/prices/metalPrices';
import { Money } from '@/ui/money';
import { Day } from '@/ui/When';
import { LazyPriceHistory } from '../parts/LazyPriceHistory';
import { readDevices } from '@/studio/settings/devices';
import { FeedPanel } from './FeedPanel';
import { TypePrice } from './TypePrice';

export const metadata = { title: 'Metal prices' };

const LINE = { gold: 'gold-filled-edge', silver: 'sterling-edge', copper: 'copper' } as const;

export default async function MetalPage() {
  const { session } = await pageOwner();
  const { last, history } = await readMetalPrices(session);
  const { kind } = (await readDevices(session))['metal prices'];
  const silver = last.find(({ metal }) => metal === 'silver');
  return (
    <>
      <h1>
        {silver ? (
          <>
            Silver is at <Money of={perTroyOunce(silver.perKilogram)} /> the troy ounce
            {silver.stale && <span className="muted">, as of {silver.age} days ago</span>}
          </>
        ) : (
          'No metal price is known yet'
        )}
      </h1>
      {/* On a narrow screen what is done stands before what was: the charts come last, and are fetched when they are seen. */}
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(18rem,1fr)] lg:grid-rows-[auto_1fr]">
        {last.length === 0 ? (
          <p className="leaf p-6">
            Type or fetch the prices, then the scrap jars show what they would melt to, and any wire’s
            replacement price may follow its metal.
          </p>
        ) : (
          <section className="leaf p-4">
            <h2>What they cost</h2>
            <ul className="mt-2 space-y-2">
              {PRICED_METALS.map((metal) => {
                const price = last.find((each) => each.metal === metal);
                return (
                  price && (
                    <li key={metal}>
                      <span className="inline-block first-letter:uppercase">{metal}</span>:{' '}
                      <strong>
                        <Money of={perTroyOunce(price.perKilogram)} />
                      </strong>{' '}
                      a troy ounce, <Money of={price.perKilogram} /> a kilogram, on <Day at={price.day} />
                      {price.stale && (
                        <strong className="ml-2 bg-warning px-1 text-warning-content">
                          stale: {price.age} days old
                        </strong>
                      )}
                    </li>
                  )
                );
              })}
            </ul>
          </section>
        )}
        <div className="space-y-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
          {kind !== 'none' && <FeedPanel isSimulated={kind === 'simulated'} />}
          <TypePrice today={todayOf(session)} />
        </div>
        {last.length > 0 && (
          <div className="min-w-0 space-y-4">
            {PRICED_METALS.filter((each) => last.some(({ metal }) => metal === each)).map((metal) => (
              <section key={metal} className="leaf p-4">
                <h2 className="first-letter:uppercase">{metal}</h2>
                <LazyPriceHistory
                  unit="a kilogram"
                  stroke={`var(--metal-${LINE[metal]})`}
                  points={history
                    .filter((each) => each.metal === metal)
                    .map(({ day, perKilogram }) => ({
                      day,
                      perUnit: cost(perKilogram * COST_UNITS_PER_MINOR),
                    }))}
                />
              </section>
            ))}
          </div>
        )}
      </div>
    </>
  );
}
