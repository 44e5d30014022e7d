import type { Id } from '@/core/id';
import type { Tx } from '@/data/inStudio';
import { Movement } from '@/data/models/books';
import { BatchPiece } from '@/data/models/batches';
import { CheckLog, SizeLog } from '@/data/models/sittings';
import { costSheet, type CostSheet } from '@/core/costing/costSheet';
import { priceBasis } from '@/core/costing/price';
import { priceBySchools } from '@/core/costing/priceSchools';
import { PIECE_STATES, type PieceState } from '@/core/selling/life';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import type { Micrograms } from '@/core/units/mass';
import { type Micrometres, um } from '@/core/units/length';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { type RowIn } from '@/data/table';
import { shelfList, shelfPlacesSql } from '@/data/sql/shelf';
import type { RowOf } from '@/data/sql/statement';
import { readPage, readSums } from '@/data/pages';
import { Piece } from '@/data/models/making';
import type { MovementKind } from '@/core/stock/movement';
import { invalid, Refused, stale } from '../kernel/outcome';
import { calledAs } from '../kernel/called';
import { posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn, type Settings } from '../settings/settings';
import { type KnownSpec, specsById } from '../catalogue/wireSpecs';
import { PricePieceInput } from './pricePiece.input';
import { lifeOf, type LifeShown } from './pieceLife';
import type { ShelfQuery } from './shelf.input';

/** A finished piece on the shelf. Money is null for helpers. */
export interface ShelfPiece {
  readonly number: number;
  readonly name: string;
  readonly kind: PatternKind;
  /** The ring size that it was made in; empty for what has none. */
  readonly size: string;
  /** Why it is sold as less than it should be; empty when it is as it should be. */
  readonly flaw: string;
  readonly madeAt: Date;
  readonly patternNumber: number;
  readonly price: MinorUnits | null;
  readonly cost: CostUnits | null;
  readonly minutes: number;
  /** Where it is in its life, and since when. */
  readonly state: PieceState;
  readonly since: Date;
  /** The place that it lies in; empty where nobody said. */
  readonly place: string;
  /** Its photograph; null when there is none. */
  readonly photo: Id<'photo'> | null;
}

export interface ShelfPage {
  readonly pieces: readonly ShelfPiece[];
  /** Places that finished pieces lie in. */
  readonly places: readonly RowOf<typeof shelfPlacesSql>[];
  /** Of what was asked for. */
  readonly total: number;
  readonly unpriced: number;
  readonly priceTotal: MinorUnits | null;
  readonly next: string | null;
}

/** Ways of sorting the shelf that need no price; those by price are the owner's. */
const WITHOUT_PRICES = ['newest', 'oldest', 'name'];

/** The ways of sorting them. */
export const SHELF_SORTINGS = shelfList.orders;

const PAGE = 40;

/** Columns that tell what a piece took. */
export const OUTLAY_COLUMNS = [
  ...(['wireCost', 'wireReplacement', 'scrapCost', 'scrapReplacement'] as const),
  ...(['spoilageCost', 'spoilageReplacement', 'partsCost', 'suppliesCost', 'suppliesReplacement'] as const),
  ...(['minutes', 'setUpMinutes', 'sharedBy', 'hourlyRate', 'overheadPerHour'] as const),
] as const;

type Outlay = Pick<RowIn<typeof Piece>, (typeof OUTLAY_COLUMNS)[number]>;

/** The cost sheet of a piece, with labour and overhead as they were then. */
export function sheetOf(piece: Outlay): CostSheet {
  const { wireCost, wireReplacement, scrapCost, scrapReplacement, spoilageCost, spoilageReplacement } = piece;
  const { partsCost: parts, minutes, setUpMinutes, sharedBy, hourlyRate, overheadPerHour } = piece;
  return costSheet(
    {
      wire: { actual: wireCost, replacement: wireReplacement },
      scrap: { actual: scrapCost, replacement: scrapReplacement },
      spoilage: { actual: spoilageCost, replacement: spoilageReplacement },
      parts: { actual: parts, replacement: parts },
      supplies: { actual: piece.suppliesCost, replacement: piece.suppliesReplacement },
      minutes,
      setUpMinutes,
      sharedBy,
    },
    { hourlyRate, overheadPerHour },
  );
}

/** What a piece cost to make, with labour and overhead as they were then. */
export const costToMake = (piece: Outlay): CostUnits => sheetOf(piece).total.actual;

/** The shelf, as it is asked for: a page of it, newest first when nothing is said. */
export function showShelf(session: StudioSession, query: ShelfQuery = {}): Promise<ShelfPage> {
  return look(session, async (tx) => {
    const sees = session.role === 'owner';
    const asked = {
      ...calledAs('piece', query.words),
      kind: PATTERN_KINDS.find((each) => each === query.kind),
      ...(sees && query.priced === 'no' && { isUnpriced: true }),
      state: PIECE_STATES.find((each) => each === query.state),
      place: query.place,
      ...(query.state === undefined && { isInStock: true }),
    };
    const sort = sees || WITHOUT_PRICES.includes(query.sort ?? '') ? query.sort : undefined;
    const [sums] = await readSums(tx, shelfList, {}, asked);
    const { rows: shown, next } = await readPage(tx, shelfList, {}, asked, { ...query, sort, size: PAGE });
    return {
      pieces: shown.map((row) => ({
        number: row.number,
        name: row.name,
        kind: row.kind,
        size: row.size,
        flaw: row.flaw,
        madeAt: row.madeAt,
        patternNumber: row.patternNumber,
        price: sees ? row.price : null,
        cost: sees ? costToMake(row) : null,
        minutes: row.minutes + row.setUpMinutes / row.sharedBy,
        state: row.state,
        since: row.since,
        place: row.place ?? '',
        photo: row.photo,
      })),
      places: await tx.rows(shelfPlacesSql, {}),
      total: sums?.total ?? 0,
      unpriced: sums?.unpriced ?? 0,
      priceTotal: sees ? ((sums?.price ?? 0) as MinorUnits) : null,
      next,
    };
  });
}

/** One wire that went into a piece. */
export interface PieceWire {
  readonly kind: MovementKind;
  readonly stockNumber: number;
  readonly spec: KnownSpec;
  readonly length: Micrometres;
  readonly cost: CostUnits | null;
  readonly reason: string;
}

/** A finished piece with everything it took; money only for owners. */
export interface PieceView {
  readonly number: number;
  readonly name: string;
  readonly kind: PatternKind;
  /** The ring size that it was made in; empty for what has none. */
  readonly size: string;
  readonly madeAt: Date;
  readonly madeBy: string;
  readonly patternNumber: number;
  readonly revision: number;
  /** The batch that it was made for. */
  readonly batchNumber: number | null;
  readonly version: number;
  readonly minutes: number;
  readonly setUpMinutes: number;
  readonly sharedBy: number;
  readonly wireMass: Micrograms;
  readonly wires: readonly PieceWire[];
  /** When its making was taken back: then it never was. */
  readonly struckAt: Date | null;
  /** Number of the findings that it became; null when it stands on the shelf. */
  readonly findings: number | null;
  /** Photographs of its front and its back; null where there is none. */
  readonly photos: Readonly<Record<'front' | 'back', Id<'photo'> | null>>;
  /** What was found out of it at the bench. */
  readonly found: FoundAtBench;
  readonly money: PieceMoney | null;
  readonly state: PieceState;
  /** All that happened to it since it was made. */
  readonly life: readonly LifeShown[];
  /** The place that it lies in; empty where nobody said. */
  readonly place: string;
}

/** What was found out of a piece at the bench; empty where nobody said. */
export interface FoundAtBench {
  readonly note: string;
  /** Why it is sold as less than it should be; empty when it is as it should be. */
  readonly flaw: string;
  readonly weighed: Micrograms | null;
  readonly checks: readonly Pick<RowIn<typeof CheckLog>, 'name' | 'isGood' | 'reading' | 'failures'>[];
  readonly sizes: readonly Pick<RowIn<typeof SizeLog>, 'readWhen' | 'inside'>[];
}

/** What only the owner sees of a piece. */
export interface PieceMoney {
  readonly sheet: CostSheet;
  readonly settings: Settings;
  readonly goingPrice: MinorUnits | null;
  readonly school: string | null;
  readonly price: MinorUnits | null;
}

/** The wires that went into a piece, in the order of that. */
async function wiresOf(tx: Tx, pieceId: Id<'piece'>, sees: boolean): Promise<PieceWire[]> {
  const rows = await tx.allWith(
    Movement,
    ['kind', 'articleId', 'quantity', 'costUnits', 'reason'],
    { stockPiece: ['number'], article: [] },
    { where: { pieceId, '$article.ware$': 'wire' }, order: ['movementId'] },
  );
  const specs = await specsById(
    tx,
    rows.map(({ articleId }) => articleId),
  );
  return rows.flatMap(({ kind, articleId, quantity, costUnits, reason, stockPiece }) => {
    const spec = specs.get(articleId);
    const cost = sees ? costUnits : null;
    return spec ? [{ kind, stockNumber: stockPiece.number, spec, length: um(quantity), cost, reason }] : [];
  });
}

const PIECE_COLUMNS = [
  ...OUTLAY_COLUMNS,
  ...(['pieceId', 'name', 'kind', 'size', 'madeAt', 'revision', 'version', 'wireMassUg'] as const),
  ...(['struckAt', 'goingPrice', 'school', 'price', 'note', 'flaw', 'weighedUg'] as const),
  ...(['frontPhotoId', 'backPhotoId', 'state'] as const),
] as const;

/** Opens a finished piece by its number; null when there is none. */
export function showPiece(session: StudioSession, number: number): Promise<PieceView | null> {
  return look(session, async (tx) => {
    const piece = await tx.oneWith(
      Piece,
      PIECE_COLUMNS,
      { pattern: ['number'], user: ['name'], drawerStock: ['number'], place: ['name'] },
      { where: { number } },
    );
    if (!piece) return null;
    const { pieceId } = piece;
    const made = await tx.oneWith(BatchPiece, [], { batch: ['number'] }, { where: { pieceId } });
    const sees = session.role === 'owner';
    return {
      number,
      name: piece.name,
      kind: piece.kind,
      size: piece.size,
      madeAt: piece.madeAt,
      madeBy: piece.user.name,
      patternNumber: piece.pattern.number,
      revision: piece.revision,
      batchNumber: made?.batch.number ?? null,
      version: piece.version,
      minutes: piece.minutes,
      setUpMinutes: piece.setUpMinutes,
      sharedBy: piece.sharedBy,
      wireMass: piece.wireMassUg,
      struckAt: piece.struckAt,
      findings: piece.drawerStock?.number ?? null,
      state: piece.state,
      life: await lifeOf(tx, pieceId),
      place: piece.place?.name ?? '',
      wires: await wiresOf(tx, pieceId, sees),
      photos: { front: piece.frontPhotoId, back: piece.backPhotoId },
      found: {
        note: piece.note,
        flaw: piece.flaw,
        weighed: piece.weighedUg,
        checks: await tx.all(CheckLog, ['name', 'isGood', 'reading', 'failures'], {
          where: { pieceId },
          order: ['place'],
        }),
        sizes: await tx.all(SizeLog, ['readWhen', 'inside'], { where: { pieceId }, order: ['place'] }),
      },
      money: sees
        ? {
            sheet: sheetOf(piece),
            settings: await settingsIn(tx),
            goingPrice: piece.goingPrice,
            school: piece.school,
            price: piece.price,
          }
        : null,
    };
  });
}

/** Chooses a price school for a piece; its price is reckoned here, with the studio's present rules. */
export const pricePiece = posts(
  'pricePiece',
  { input: PricePieceInput, by: 'owner' },
  async ({ tx, session }, input, number: number) => {
    const where = { studioId: session.studioId, number };
    const piece = await Piece.findOne({ where, lock: true });
    if (!piece) throw new Refused({ kind: 'refused', message: 'This piece is no longer there.' });
    if (piece.version !== input.version) {
      throw stale('Somebody priced this piece while you had it open. Reload the page to see their price.');
    }
    if (piece.struckAt)
      throw new Refused({
        kind: 'refused',
        message: 'The making of this piece was taken back; it has no price.',
      });
    if (piece.drawerStockId !== null)
      throw new Refused({
        kind: 'refused',
        message: 'This went into the findings drawer; it is priced with the pieces that take it.',
      });
    const settings = await settingsIn(tx);
    const goingPrice = input.goingPrice && inCurrency('goingPrice', input.goingPrice, settings.currency);
    const schools = priceBySchools(priceBasis(sheetOf(piece), settings.priceFrom), settings, goingPrice);
    const chosen = schools.find(({ id }) => id === input.school)?.outcome;
    if (!chosen) throw invalid('school', 'Choose a price school.');
    if (!chosen.ok) throw invalid('school', chosen.error);
    const { price } = chosen.value;
    await piece.update({ school: input.school, goingPrice, price });
    return { price };
  },
);
