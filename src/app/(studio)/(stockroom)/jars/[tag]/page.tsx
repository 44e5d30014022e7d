import { todayOf } from '@/studio/kernel/useCase';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { tag } from '@/core/tag';
import { formatMass, formatTroyOunces } from '@/core/units/mass';
import { metalOf } from '@/core/wire/metal';
import { showJar } from '@/studio/scrap/jars';
import { JarDrawing } from '@/ui/JarDrawing';
import { Cost, Money } from '@/ui/money';
import { Day } from '@/ui/When';
import { Fact, HistoryTable } from '../../parts/HistoryTable';
import { RefineForm } from './RefineForm';
import { Said } from '@/ui/house';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function JarPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const jar = orNotFound(await showJar(session, await tagParam('scrap', params)));
  const isOwner = session.role === 'owner';
  return (
    <>
      <h1>
        <Said>{formatMass(jar.mass)}</Said> of {metalOf(jar.metal).name} in jar {tag('scrap', jar.number)}
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
        <section className="leaf flex gap-6 p-4">
          <JarDrawing metal={jar.metal} part={jar.mass > 0 ? 0.8 : 0} />
          <dl className="space-y-2">
            <Fact name="In troy ounces">
              <Said>{formatTroyOunces(jar.mass)}</Said>
            </Fact>
            {jar.cost !== null && (
              <Fact name="What it cost">
                <Cost of={jar.cost} />
              </Fact>
            )}
            {isOwner && (
              <Fact name="Melts to">
                {jar.melt !== null && jar.price ? (
                  <>
                    <Money of={jar.melt} />{' '}
                    <span className="muted">
                      at the price of <Day at={jar.price.day} />
                      {jar.price.stale && ', which is stale'}
                    </span>
                  </>
                ) : (
                  'no price of the day is known'
                )}
              </Fact>
            )}
            {jar.refinings.length > 0 && (
              <Fact name="Sent off">
                {jar.refinings.map(({ sentOn, refiner, mass, proceeds }, index) => (
                  <span key={index} className="block">
                    <Day at={sentOn} />: <Said>{formatMass(mass)}</Said> to {refiner}, <Money of={proceeds} />{' '}
                    came back
                  </span>
                ))}
              </Fact>
            )}
          </dl>
        </section>
        {isOwner && jar.mass > 0 && (
          <RefineForm number={jar.number} mass={`${jar.mass / 1e6} g`} today={todayOf(session)} />
        )}
      </div>
      <HistoryTable history={jar.history} measure={{ ware: 'scrap' }} />
    </>
  );
}
