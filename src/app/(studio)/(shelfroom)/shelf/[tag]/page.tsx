import { groupBy } from '@/core/groupBy';
import { checkSaid } from '@/core/bench/checks';
import { describeRing, ringOf } from '@/core/ring/ringSize';
import { um, UM_PER_MM, type Micrometres } from '@/core/units/length';
import { cost, sumCosts, type CostUnits } from '@/core/units/money';
import { Link } from '@/ui/Link';
import { isInStock, turned } from '@/core/selling/life';
import { pathOf, tag } from '@/core/tag';
import { formatMass } from '@/core/units/mass';
import { PHOTO_SIDES } from '@/studio/photos/keepPhoto';
import { couldComeOut } from '@/studio/shelf/breakUp';
import { showPieceEarned } from '@/studio/selling/earned';
import { openChannels } from '@/studio/selling/sales';
import { showPiece, type FoundAtBench, type PieceView, type PieceWire } from '@/studio/shelf/shelf';
import { Length } from '@/ui/lengths';
import { Cost, Money } from '@/ui/money';
import { BesidePicture } from '@/ui/SmallPicture';
import { PrintButton } from '@/ui/PrintButton';
import { Day } from '@/ui/When';
import { WireChip } from '@/ui/WireChip';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { MOVEMENT_WORDS } from '@/app/lib/words';
import { CostSheetTable } from './CostSheetTable';
import { PhotoForm } from '@/app/lib/PhotoForm';
import { keepPiecePhotoAction } from './actions';
import { ItEarned } from './ItEarned';
import { Life } from './Life';
import { Prices } from './Prices';
import { WhereSold } from './WhereSold';
import { BY_HAND, BY_HELPERS } from '@/studio/shelf/turnPieces.input';
import { Said } from '@/ui/house';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function PiecePage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const piece = orNotFound(await showPiece(session, await tagParam('piece', params)));
  const {
    number,
    name,
    kind,
    size,
    madeAt,
    madeBy,
    patternNumber,
    revision,
    batchNumber,
    wires,
    wireMass,
    minutes,
    setUpMinutes,
    sharedBy,
    money,
    struckAt,
    findings,
    found,
    photos,
  } = piece;
  const isOnShelf = struckAt === null && findings === null;
  const isOwner = session.role === 'owner';
  const inside =
    isOwner && isOnShelf && turned(piece.state, 'broken up', '').ok
      ? await couldComeOut(session, number)
      : null;
  const earned = isOwner ? await showPieceEarned(session, number) : null;
  const channels = isOwner && isInStock(piece.state) ? await openChannels(session) : [];
  return (
    <>
      <p className="muted no-print">
        <Link href="/shelf" className="link">
          Shelf
        </Link>
      </p>
      <BesidePicture of="piece" number={number} name={name}>
        <div className="flex flex-wrap items-start justify-between gap-3">
          <h1 className="[overflow-wrap:anywhere]">
            {tag('piece', number)} “{name}”
            {money && (
              <>
                {' '}
                cost <Cost of={money.sheet.total.actual} />
                {!isOnShelf ? null : money.price === null ? (
                  ' and has no price yet'
                ) : (
                  <>
                    {' '}
                    and sells for <Money of={money.price} />
                  </>
                )}
              </>
            )}
          </h1>
          <div className="no-print flex flex-wrap gap-2">
            {money && (
              <Link href={`/patterns/compose?from=${tag('piece', number)}`} className="btn btn-lg">
                Compose one like it
              </Link>
            )}
            <a href={`/labels?items=${tag('piece', number)}`} className="btn btn-lg">
              Label
            </a>
            <PrintButton />
          </div>
        </div>
        <p className="muted mt-1">
          {kind}
          {size !== '' && `, ${size}`}, made by {madeBy} on <Day at={madeAt} /> from{' '}
          <Link href={`/patterns/${tag('pattern', patternNumber)}`} className="link">
            {tag('pattern', patternNumber)}
          </Link>{' '}
          revision {revision}
          {batchNumber !== null && (
            <>
              {' '}
              for{' '}
              <Link href={`/batches/${tag('batch', batchNumber)}`} className="link">
                {tag('batch', batchNumber)}
              </Link>
            </>
          )}{' '}
          · {minutes} min
          {setUpMinutes > 0 &&
            ` + ${setUpMinutes} min setting up${sharedBy > 1 ? `, shared by ${sharedBy}` : ''}`}{' '}
          · <Said>{formatMass(wireMass)}</Said> of wire
        </p>
      </BesidePicture>
      {findings !== null && (
        <p role="status" className="mt-3 border-l-4 border-base-content/40 bg-base-100 p-3">
          It went into the drawer as{' '}
          <Link href={pathOf('finding', findings)} className="link">
            {tag('finding', findings)}
          </Link>
          , with all it took in their cost.
        </p>
      )}
      {struckAt !== null && (
        <p role="status" className="mt-3 border-l-4 border-warning bg-base-100 p-3">
          Its making was taken back on <Day at={struckAt} />; what it took is in the stockroom again.
        </p>
      )}
      <Photos photos={photos} name={name} />
      <Found found={found} />
      {money && (
        <div className="mt-4 grid grid-cols-1 items-start gap-4 xl:grid-cols-[minmax(20rem,2fr)_minmax(0,5fr)]">
          <CostSheetTable sheet={money.sheet} priceFrom={money.settings.priceFrom} />
          {isOnShelf && (
            // On the paper of a piece that is sold stands what it earned.
            <div className={earned ? 'no-print' : ''}>
              <Prices piece={{ number, version: piece.version }} money={money} />
            </div>
          )}
        </div>
      )}
      {earned && <ItEarned earned={earned} />}
      {isOnShelf && money && money.price !== null && (
        <WhereSold
          channels={channels}
          price={money.price}
          cost={money.sheet.total[money.settings.priceFrom]}
          currency={money.settings.currency}
        />
      )}
      {isOnShelf && <Life piece={piece} turns={isOwner ? BY_HAND : BY_HELPERS} inside={inside} />}
      <section className="leaf mt-4 overflow-x-auto p-4">
        <h2>Wire it took</h2>
        <table className="table table-sm mt-2">
          <thead>
            <tr>
              <th>From</th>
              <th>Wire</th>
              <th>What</th>
              <th className="text-right">Length</th>
              {money && <th className="text-right">Cost</th>}
            </tr>
          </thead>
          <tbody>
            {alikeWires(wires).map(({ wire, count, length, isEach, total }, index) => (
              <tr key={index}>
                <td>
                  <Link href={`/rack/${tag('wire', wire.stockNumber)}`} className="link whitespace-nowrap">
                    {tag('wire', wire.stockNumber)}
                  </Link>
                </td>
                <td>
                  <WireChip spec={wire.spec} />
                </td>
                <td>
                  {MOVEMENT_WORDS[wire.kind]}
                  {wire.reason && <span className="muted"> · {wire.reason}</span>}
                </td>
                <td className="text-right">
                  {count > 1 && isEach && `${count} × `}
                  <Length of={length} />
                  {count > 1 && !isEach && `, ${count} together`}
                </td>
                {total !== null && (
                  <td className="text-right">
                    <Cost of={total} />
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <div className="no-print mt-4 grid gap-4 sm:grid-cols-2">
        {PHOTO_SIDES.map((side) => (
          <PhotoForm
            key={side}
            label={photos[side] === null ? `Photograph of its ${side}` : `Another photograph of its ${side}`}
            keep={keepPiecePhotoAction.bind(null, number, side)}
          />
        ))}
      </div>
    </>
  );
}

/** The photographs of a piece, from the front and from the back. */
function Photos({ photos, name }: Pick<PieceView, 'photos' | 'name'>) {
  const taken = PHOTO_SIDES.flatMap((side) => {
    const photo = photos[side];
    return photo === null ? [] : [{ side, photo }];
  });
  if (taken.length === 0) return null;
  return (
    <div className="mt-4 flex flex-wrap gap-4">
      {taken.map(({ side, photo }) => (
        <img
          key={side}
          src={`/photos/${photo}`}
          alt={`“${name}”, photographed from the ${side}`}
          className="max-h-72 max-w-full rounded object-contain"
        />
      ))}
    </div>
  );
}

/** What was found out of it at the bench; nothing where nobody said anything. */
function Found({ found: { note, flaw, weighed, checks, sizes } }: { found: FoundAtBench }) {
  const isKnown = note !== '' || flaw !== '' || weighed !== null || checks.length + sizes.length > 0;
  if (!isKnown) return null;
  const bad = checks.filter(({ isGood }) => !isGood);
  const measured = checks.filter(({ isGood, reading }) => isGood && reading !== '');
  const said = ({ name, reading }: FoundAtBench['checks'][number]) => checkSaid(name, reading);
  const again = checks.filter(({ isGood, failures }) => isGood && failures > 0);
  return (
    <section className="leaf mt-4 p-4" aria-label="At the bench">
      <h2>At the bench</h2>
      {flaw !== '' && <p className="mt-1 font-semibold">Sold as it is: {flaw}.</p>}
      <ul className="mt-1 space-y-1">
        {weighed !== null && (
          <li>
            <Said>{formatMass(weighed)}</Said> on the scale
          </li>
        )}
        {sizes.map(({ readWhen, inside }, index) => (
          <li key={index}>
            <span className="first-letter:uppercase">{readWhen}</span>:{' '}
            {describeRing(ringOf(inside / UM_PER_MM))}
          </li>
        ))}
        {checks.length > 0 && (
          <li>
            Looked over: {checks.length - bad.length} of {checks.length} good
            {bad.length > 0 && `; not good: ${bad.map(said).join('; ')}`}
            {again.length > 0 && `; after rework: ${again.map(said).join('; ')}`}
          </li>
        )}
        {measured.map(({ name, reading }, index) => (
          <li key={index}>
            <Said>{checkSaid(name, reading)}</Said>
          </li>
        ))}
        {note !== '' && <li className="[overflow-wrap:anywhere] whitespace-pre-wrap">{note}</li>}
      </ul>
    </section>
  );
}

/** Wires of a piece that come from one and went the same way, together; costs as what was paid. */
function alikeWires(wires: readonly PieceWire[]): {
  readonly wire: PieceWire;
  readonly count: number;
  /** Of each, where all are equally long; of all together otherwise. */
  readonly length: Micrometres;
  readonly isEach: boolean;
  readonly total: CostUnits | null;
}[] {
  const alike = groupBy(wires, ({ kind, stockNumber, reason }) => [kind, stockNumber, reason].join('|'));
  return [...alike.values()].flatMap((group) => {
    const [wire] = group;
    if (!wire) return [];
    const costs = group.flatMap(({ cost: each }) => (each === null ? [] : [cost(Math.abs(each))]));
    const isEach = group.every(({ length }) => length === wire.length);
    const length = isEach ? wire.length : group.reduce((sum, each) => sum + each.length, 0);
    return [
      {
        wire,
        count: group.length,
        length: um(Math.abs(length)),
        isEach,
        total: wire.cost === null ? null : sumCosts(costs),
      },
    ];
  });
}
