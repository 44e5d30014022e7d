import Link from 'next/link';
import { roundSpan } from '@/core/ruler';
import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import { massOfLength, pricePerLength } from '@/core/wire/mass';
import { cost, toCost } from '@/core/units/money';
import { formatMass } from '@/core/units/mass';
import { showStockPiece } from '@/studio/wire/rack';
import { Length } from '@/ui/lengths';
import { Cost, Money } from '@/ui/money';
import { Ruler } from '@/ui/Ruler';
import { Day } from '@/ui/When';
import { WireBar } from '@/ui/WireBar';
import { WireChip } from '@/ui/WireChip';
import { pageMember } from '../../../lib/member';
import { orNotFound, tagParam } from '../../../lib/tagParam';
import { MOVEMENT_WORDS } from '../../../lib/words';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function StockPiecePage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const piece = orNotFound(await showStockPiece(session, await tagParam('stock', params)));
  const { spec, length, initialLength, lot, history } = piece;
  const span = roundSpan(initialLength, um(100_000));
  const paid = lot?.price ? pricePerLength(toCost(lot.price), lot.length) : undefined;
  return (
    <>
      <p className="muted no-print">
        <Link href="/rack" className="link">
          Wire rack
        </Link>
      </p>
      <h1 className="mt-1">
        {length === 0 ? (
          <>{tag('stock', piece.number)} is used up</>
        ) : (
          <>
            <Length of={length} /> left on {piece.form} {tag('stock', piece.number)}
          </>
        )}
        {piece.cost !== null && length > 0 && (
          <>
            , carrying <Cost of={piece.cost} />
          </>
        )}
      </h1>
      <section className="leaf mt-4 p-4">
        <WireChip spec={spec} box={44} />
        <div className="mt-3">
          <Ruler span={span} label="Ruler" />
          <WireBar spec={spec} length={length} span={span} was={initialLength} height={30} />
        </div>
        <dl className="mt-3 flex flex-wrap gap-x-10 gap-y-2">
          <Fact name="Was at first">
            <Length of={initialLength} />
          </Fact>
          <Fact name="Weighs now">{formatMass(massOfLength(spec, length))}</Fact>
          {lot && (
            <Fact name="Bought">
              <Day at={lot.boughtOn} />
              {lot.supplier && ` from ${lot.supplier}`}, as {lot.label.replace(/ AWG$/, ' ga')}
            </Fact>
          )}
          {lot?.price && paid && (
            <Fact name="Paid">
              <Money of={lot.price} /> for <Length of={lot.length} short />:{' '}
              <Cost of={cost(Math.round(paid.perMetre))} /> a metre,{' '}
              <Cost of={cost(Math.round(paid.perFoot))} /> a foot
            </Fact>
          )}
        </dl>
      </section>
      <section className="leaf mt-4 overflow-x-auto p-4">
        <h2>What happened to it</h2>
        <table className="table mt-2">
          <thead>
            <tr>
              <th>When</th>
              <th>What</th>
              <th className="text-right">Length</th>
              {piece.cost !== null && <th className="text-right">Cost</th>}
              <th>For</th>
              <th>By</th>
            </tr>
          </thead>
          <tbody>
            {history.map((line) => (
              <tr key={line.id}>
                <td>
                  <Day at={line.at} />
                </td>
                <td>
                  {MOVEMENT_WORDS[line.kind]}
                  {line.reason && <span className="muted"> · {line.reason}</span>}
                </td>
                <td className="text-right">
                  {line.length > 0 && '+'}
                  <Length of={line.length} />
                </td>
                {line.cost !== null && (
                  <td className="text-right">
                    <Cost of={line.cost} />
                  </td>
                )}
                <td>
                  {line.pieceNumber !== null && (
                    <Link className="link" href={`/shelf/${tag('piece', line.pieceNumber)}`}>
                      {tag('piece', line.pieceNumber)} {line.pieceName}
                    </Link>
                  )}
                </td>
                <td>{line.who}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {piece.historyIsCut && (
          <p className="muted mt-2">Only the latest {history.length} movements are shown.</p>
        )}
      </section>
    </>
  );
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="muted text-sm">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
