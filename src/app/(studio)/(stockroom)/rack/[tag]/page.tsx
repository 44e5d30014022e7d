import { Link } from '@/ui/Link';
import { listPlacesAndSpools } from '@/app/lib/hints';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { roundSpan } from '@/core/ruler';
import { tag } from '@/core/tag';
import { formatMass } from '@/core/units/mass';
import { cost, toCost } from '@/core/units/money';
import { um } from '@/core/units/length';
import { massOfLength, pricePerLength } from '@/core/wire/mass';
import { beadsForWire } from '@/studio/holes/holes';
import { showPricing } from '@/studio/prices/replacement';
import { showMinimum } from '@/studio/toBuy/toBuy';
import { showStockPiece } from '@/studio/wire/rack';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { Length } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { Ruler } from '@/ui/Ruler';
import { WireBar } from '@/ui/WireBar';
import { WireChip } from '@/ui/WireChip';
import { Fact, HistoryTable } from '../../parts/HistoryTable';
import { LotFacts } from '../../parts/LotFacts';
import { SetAsideFact } from '../../parts/SetAsideFact';
import { ArticleRules } from '../../parts/ArticleRules';
import { WireActs } from './WireActs';
import { Said } from '@/ui/house';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function StockPiecePage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const piece = orNotFound(await showStockPiece(session, await tagParam('wire', params)));
  const { spec, length, initialLength, lot, history } = piece;
  const isOwner = session.role === 'owner';
  const span = roundSpan(um(Math.max(initialLength, length)), um(100_000));
  const paid = lot?.price ? pricePerLength(toCost(lot.price), um(lot.quantity)) : undefined;
  const [beads, specs] = await Promise.all([beadsForWire(session, spec.width), listSpecs(session)]);
  return (
    <>
      <h1>
        {length === 0 ? (
          <>{tag('wire', piece.number)} is used up</>
        ) : (
          <>
            <Length of={length} /> left on {piece.form} {tag('wire', piece.number)}
          </>
        )}
        {piece.cost !== null && length > 0 && (
          <>
            , carrying <Cost of={piece.cost} />
          </>
        )}
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(20rem,2fr)]">
        <section className="leaf p-4">
          <div className="flex flex-wrap items-start justify-between gap-3">
            <WireChip spec={spec} box={44} />
            <p className="no-print flex flex-wrap gap-2">
              {length > 0 && (
                <Link href={`/fitting?wire=${tag('wire', piece.number)}`} className="btn btn-sm">
                  What could it become?
                </Link>
              )}
              <Link href={`/labels?items=${tag('wire', piece.number)}`} className="btn btn-sm">
                Print its label
              </Link>
            </p>
          </div>
          <div className="mt-3">
            <Ruler span={span} label="Ruler" />
            <WireBar spec={spec} length={length} span={span} was={initialLength} height={30} />
          </div>
          <dl className="mt-3 flex flex-wrap gap-x-10 gap-y-2">
            <Fact name="Was at first">
              <Length of={initialLength} />
            </Fact>
            <Fact name="Weighs now">
              <Said>{formatMass(massOfLength(spec, length))}</Said>
            </Fact>
            <Fact name="Kept in">{piece.place ?? 'no place yet'}</Fact>
            <SetAsideFact session={session} of={piece.id} measure={{ ware: 'wire', unit: null }} />
            {piece.emptyMass !== null && (
              <Fact name="Empty spool">
                <Said>{formatMass(piece.emptyMass)}</Said> {piece.spoolType && `(${piece.spoolType})`}
              </Fact>
            )}
            {lot && (
              <LotFacts
                lot={lot}
                measure={{ ware: 'wire' }}
                again={`/rack/receive?again=${tag('wire', piece.number)}`}
              >
                {paid && (
                  <>
                    : <Cost of={cost(Math.round(paid.perMetre))} /> a metre,{' '}
                    <Cost of={cost(Math.round(paid.perFoot))} /> a foot
                  </>
                )}
              </LotFacts>
            )}
            {piece.note && <Fact name="Note">{piece.note}</Fact>}
            {beads.length > 0 && (
              <Fact name="Beads it passes">
                {beads.slice(0, 4).map(({ number, name, doubled }) => (
                  <span key={number} className="block min-h-7">
                    <Link className="link" href={`/beads/${tag('bead', number)}`}>
                      {tag('bead', number)}
                    </Link>{' '}
                    {name}
                    {doubled && ', doubled too'}
                  </span>
                ))}
                {beads.length > 4 && (
                  <Link
                    className="link inline-block min-h-7 min-w-7"
                    href={`/fit?wire=${tag('wire', piece.number)}`}
                  >
                    all {beads.length}
                  </Link>
                )}
              </Fact>
            )}
          </dl>
        </section>
        <div className="no-print space-y-4">
          <WireActs
            number={piece.number}
            spec={spec}
            specs={specs}
            isUsedUp={length === 0}
            kept={{
              version: String(piece.version),
              place: piece.place ?? '',
              note: piece.note,
              spoolType: piece.spoolType ?? '',
              emptyMass: piece.emptyMass === null ? '' : formatMass(piece.emptyMass),
            }}
            {...await listPlacesAndSpools(session)}
          />
          {isOwner && (
            <ArticleRules
              ware="wire"
              unit={null}
              pricing={await showPricing(session, spec.id)}
              minimum={await showMinimum(session, spec.id)}
            />
          )}
        </div>
      </div>
      <HistoryTable history={history} measure={{ ware: 'wire' }} isCut={piece.historyIsCut} />
    </>
  );
}
