import { Link } from '@/ui/Link';
import { drawerOf } from '@/app/lib/drawers';
import { listPlacesAndSpools } from '@/app/lib/hints';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { thickestThrough } from '@/core/bead/holeFit';
import { tag, TAG_PATHS } from '@/core/tag';
import { formatDiameter } from '@/core/units/length';
import type { Measure } from '@/core/stock/amount';
import { showDrawerPiece, type DrawerDetail } from '@/studio/drawers/drawers';
import { wiresForHole } from '@/studio/holes/holes';
import { showPricing } from '@/studio/prices/replacement';
import { showMinimum } from '@/studio/toBuy/toBuy';
import { Amount } from '@/ui/Amount';
import { Cost } from '@/ui/money';
import { WireChip } from '@/ui/WireChip';
import { ArticleRules } from '../../parts/ArticleRules';
import { Fact, HistoryTable } from '../../parts/HistoryTable';
import { LotFacts } from '../../parts/LotFacts';
import { SetAsideFact } from '../../parts/SetAsideFact';
import { PhotoForm } from '@/app/lib/PhotoForm';
import { keepPhotoAction } from '../../parts/photoAction';
import { Picture } from '../DrawerList';
import { DrawerActs } from './DrawerActs';
import { Said } from '@/ui/house';

type Params = Promise<{ drawer: string; tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function DrawerPiecePage({ params }: { params: Params }) {
  const { ware } = drawerOf((await params).drawer);
  const { session } = await pageMember();
  const piece = orNotFound(await showDrawerPiece(session, ware, await tagParam(ware, params)));
  const { detail, quantity, lot } = piece;
  const measure: Measure = { ware, unit: detail.ware === 'supply' ? detail.unit : null };
  const isOwner = session.role === 'owner';
  return (
    <>
      <h1>
        {ware === 'stone' ? (
          <>
            {tag(ware, piece.number)}: {piece.name}
          </>
        ) : (
          <>
            {quantity === 0 ? 'None' : <Amount {...measure} of={quantity} />} left of{' '}
            {tag(ware, piece.number)}
          </>
        )}
        {piece.cost !== null && quantity > 0 && (
          <>
            , carrying <Cost of={piece.cost} />
          </>
        )}
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(20rem,2fr)]">
        <section className="leaf p-4">
          <div className="flex flex-wrap items-start justify-between gap-4">
            <Picture piece={piece} large />
            <Link href={`/labels?items=${tag(ware, piece.number)}`} className="btn btn-sm no-print">
              Print its label
            </Link>
          </div>
          <p className="mt-2 font-semibold">{piece.name}</p>
          <dl className="mt-3 flex flex-wrap gap-x-10 gap-y-2">
            <Details detail={detail} isUsed={quantity === 0} />
            <Fact name="Was at first">
              <Amount {...measure} of={piece.initialQuantity} />
            </Fact>
            <Fact name="Kept in">{piece.place ?? 'no place yet'}</Fact>
            {ware !== 'stone' && <SetAsideFact session={session} of={piece.id} measure={measure} />}
            {piece.shades.length > 0 && (
              <Fact name="Shades or sizes, in order">
                {piece.shades.map(({ name, count }) => `${name} ${count}`).join(', ')}
              </Fact>
            )}
            {lot && (
              <LotFacts
                lot={lot}
                measure={measure}
                again={`${TAG_PATHS[ware]}/receive?again=${tag(ware, piece.number)}`}
              />
            )}
            {piece.note && <Fact name="Note">{piece.note}</Fact>}
          </dl>
          {'hole' in detail && detail.hole > 0 && <Passing session={session} hole={detail.hole} />}
        </section>
        <div className="no-print space-y-4">
          <DrawerActs
            piece={piece}
            isUsedUp={quantity === 0}
            places={(await listPlacesAndSpools(session)).places}
          />
          <PhotoForm
            label={piece.photoId === null ? 'A photograph of it' : 'Another photograph'}
            keep={keepPhotoAction.bind(null, piece.articleId)}
          />
          {isOwner && ware !== 'stone' && (
            <ArticleRules
              ware={ware}
              unit={measure.unit ?? null}
              pricing={await showPricing(session, piece.articleId)}
              minimum={await showMinimum(session, piece.articleId)}
            />
          )}
        </div>
      </div>
      <HistoryTable history={piece.history} measure={measure} />
    </>
  );
}

function Details({ detail, isUsed }: { detail: DrawerDetail; isUsed: boolean }) {
  switch (detail.ware) {
    case 'bead':
      return (
        <Fact name="Hole">
          <Said>{formatDiameter(detail.hole)}</Said>
        </Fact>
      );
    case 'stone':
      return (
        <>
          <Fact name="State">
            {isUsed ? 'used' : detail.setAsideFor ? `set aside: ${detail.setAsideFor}` : 'free'}
          </Fact>
          <Fact name="Edge">
            <Said>{formatDiameter(detail.edge)}</Said>
          </Fact>
          <Fact name="Drilled">
            <Said>
              {detail.holeAxis === 'none'
                ? 'not at all'
                : `${detail.holeAxis}, ${formatDiameter(detail.hole)}`}
            </Said>
          </Fact>
        </>
      );
    case 'supply':
      return (
        <Fact name="A finished piece takes">
          <Amount ware="supply" unit={detail.unit} of={detail.perPiece} />
        </Fact>
      );
    case 'finding':
      return <Fact name="Finding">{detail.finding}</Fact>;
  }
}

/** The thickest wires in stock that pass the hole, single and doubled. */
async function Passing({
  session,
  hole,
}: {
  session: Parameters<typeof wiresForHole>[0];
  hole: Parameters<typeof wiresForHole>[1];
}) {
  const [single, doubled] = await Promise.all([
    wiresForHole(session, hole, 1),
    wiresForHole(session, hole, 2),
  ]);
  return (
    <section className="mt-4 border-t border-base-300 pt-3">
      <h2>What passes its hole</h2>
      <div className="mt-2 grid gap-4 sm:grid-cols-2">
        {(
          [
            ['Single', single, thickestThrough(hole, 1)],
            ['Doubled', doubled, thickestThrough(hole, 2)],
          ] as const
        ).map(([name, wires, most]) => (
          <div key={name}>
            <p className="text-sm font-semibold">
              {name}: up to <Said>{formatDiameter(most)}</Said>
            </p>
            {wires[0] ? (
              <WireChip spec={wires[0].spec} />
            ) : (
              <p className="muted">No wire on the rack is that thin.</p>
            )}
          </div>
        ))}
      </div>
      <p className="mt-2">
        <Link className="link" href={`/fit?hole=${encodeURIComponent(formatDiameter(hole))}`}>
          All wires that pass
        </Link>
      </p>
    </section>
  );
}
