import { randomUUID } from 'node:crypto';
import type { Id } from '@/core/id';
import { day, dayIn, daysBetween, type Day } from '@/core/calendar/day';
import type { CostLineId } from '@/core/costing/costSheet';
import { changeOf } from '@/core/selling/discount';
import { tookBack, type TookSums } from '@/core/selling/earned';
import { booked, turned, TURNS } from '@/core/selling/life';
import { refundOf, sellBasket, sumOfLines, type BasketSold, type SoldLine } from '@/core/selling/sale';
import { tag } from '@/core/tag';
import { cost, formatMoney, minor, type CostUnits, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { PieceEvent, Sale, SaleLine } from '@/data/models/selling';
import { metalsOfPiecesSql } from '@/data/sql/earned';
import type { RowIn } from '@/data/table';
import { invalid, refused } from '../kernel/outcome';
import { takeNumbers } from '../kernel/numbers';
import { posts, type Posted } from '../kernel/posts';
import { zoneOf } from '../kernel/useCase';
import type { ValuesOf } from '../kernel/typed';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { bookedCost } from '../shelf/pieceLife';
import { OUTLAY_COLUMNS, sheetOf } from '../shelf/shelf';
import { openChannel, type KnownChannel } from './channels';
import { discountOf, ReturnInput, SellInput } from './sell.input';

/** Number of the sale that something was entered as. */
export interface Entered {
  readonly number: number;
}

const PIECE_COLUMNS = [
  ...(['pieceId', 'number', 'state', 'patternId', 'kind', 'madeAt', 'partsTaken'] as const),
  ...OUTLAY_COLUMNS,
] as const;
type LockedPiece = Pick<RowIn<typeof Piece>, (typeof PIECE_COLUMNS)[number]>;

/** Locks pieces, in one order for everybody. @returns them in the order that they were told in */
async function lockPieces(tx: Tx, numbers: readonly number[]): Promise<readonly LockedPiece[]> {
  const rows = await tx.all(Piece, PIECE_COLUMNS, {
    where: { number: [...numbers], struckAt: null, drawerStockId: null },
    order: ['number'],
    lock: true,
  });
  return numbers.map((number, index) => {
    const piece = rows.find((row) => row.number === number);
    if (!piece)
      throw invalid(`pieces.${index}.piece`, `${tag('piece', number)} does not stand on the shelf.`);
    if (numbers.indexOf(number) !== index)
      throw invalid(`pieces.${index}.piece`, `${tag('piece', number)} is in it already.`);
    return piece;
  });
}

/** A sale that can be entered as it is told: its channel, its pieces, and what it comes to. */
export interface ReadySale {
  readonly channel: KnownChannel;
  readonly pieces: readonly LockedPiece[];
  readonly sold: BasketSold;
  readonly given: MinorUnits | null;
  readonly agreed: Agreed;
}

/** What is agreed of a sale besides what is told when it is handed over. */
export interface Agreed {
  /** What of it was paid before. */
  readonly paidBefore: MinorUnits;
  /** The day that it is to be paid by; null where it is paid at once. */
  readonly payBy: Day | null;
  /** Where its buyer is, as an invoice says it; may be empty. */
  readonly address: string;
}

/** Of what is sold over the counter. */
const NOTHING_AGREED: Agreed = { paidBefore: minor(0), payBy: null, address: '' };

/**
 * Looks whether pieces can be sold together as somebody says, and locks them. Nothing is written yet.
 * @throws Refused with why not
 */
export async function readySale(
  tx: Tx,
  input: ValuesOf<SellInput>,
  agreed: Agreed = NOTHING_AGREED,
): Promise<ReadySale> {
  const { currency } = await settingsIn(tx);
  const channel = await openChannel(tx, input.channel);
  const pieces = await lockPieces(
    tx,
    input.pieces.map(({ piece }) => piece),
  );
  pieces.forEach(({ state, number }, index) => {
    const next = turned(state, 'sold', tag('piece', number));
    if (!next.ok) throw invalid(`pieces.${index}.piece`, next.error);
  });
  const tags = input.pieces.map(({ asked }, index) => inCurrency(`pieces.${index}.asked`, asked, currency));
  const sold = sellBasket(tags, {
    discount: discountOf(input, (amount) => inCurrency('off', amount, currency)),
    terms: channel.terms,
    rounding: channel.rounding,
    currency,
  });
  if (!sold.ok) throw invalid('off', sold.error);
  const { paidBefore, payBy } = agreed;
  const due = minor(sold.value.total.gross - paidBefore);
  if (due < 0)
    throw refused(
      `${formatMoney(paidBefore, currency)} was paid for it before, and it comes to ${formatMoney(sold.value.total.gross, currency)}. Pay ${formatMoney(minor(0 - due), currency)} back first.`,
    );
  const isCash = input.paidBy === 'cash' && payBy === null;
  const given = isCash && input.given ? inCurrency('given', input.given, currency) : null;
  const change = given === null ? undefined : changeOf(due, given, currency);
  if (change?.ok === false) throw invalid('given', change.error);
  return { channel, pieces, sold: sold.value, given, agreed };
}

/** Enters a sale: its pieces leave the studio and its books, and a receipt is numbered. */
export async function enterReady(
  posted: Posted,
  input: ValuesOf<SellInput>,
  { channel, pieces, sold: { lines, postage, total, fees, sending }, given, agreed }: ReadySale,
): Promise<Entered & { readonly saleId: Id<'sale'> }> {
  const { paidBy, buyer, note } = input;
  const soldOn = day(input.soldOn);
  const saleId = randomUUID();
  const number = await enterSale(posted, {
    ...{ saleId, channelId: channel.id, soldOn, buyer, note, paidBy, given },
    ...{ taxKind: channel.terms.tax.kind, taxPercent: channel.terms.tax.percent },
    ...{ ...total, fees, sending, ...agreed },
  });
  const kept = await keptOf(posted, pieces, soldOn);
  const of = { saleId, channelId: channel.id, soldOn, stoodOn: soldOn };
  await enterLines(posted, { ...of, turn: 'sold', who: buyer === '' ? channel.name : buyer }, [
    ...lines.map((line, index) => {
      const piece = pieces[index] ?? null;
      return { line: index + 1, of: line, piece, kept: piece && kept(piece) };
    }),
    ...(postage ? [{ line: lines.length + 1, of: postage, piece: null, kept: null }] : []),
  ]);
  return { number, saleId };
}

/** Pieces are sold together: they leave the studio and its books, and a receipt is numbered. */
export const sellPieces = posts(
  'sellPieces',
  { input: SellInput },
  async (posted, input): Promise<Entered> => {
    const { number } = await enterReady(posted, input, await readySale(posted.tx, input));
    return { number };
  },
);

/** Numbers a sale and writes it down. @returns its number */
async function enterSale(
  { tx, session, postKey }: Posted,
  sale: Omit<
    RowIn<typeof Sale>,
    'studioId' | 'number' | 'returnOf' | 'postKey' | 'userId' | 'postedAt' | keyof Agreed
  > &
    Partial<Agreed> & { readonly returnOf?: Id<'sale'> },
): Promise<number> {
  const number = await takeNumbers(tx, 'sale');
  await tx.add(Sale, [{ ...sale, number, postKey, userId: session.userId, postedAt: session.now }]);
  return number;
}

/** What a line keeps of its piece. */
type Kept = Pick<RowIn<typeof SaleLine>, 'pieces' | 'patternId' | 'kind' | 'metal'> & TookSums;

/** A line of a sale, and the piece it is of with what that took. */
interface EnteredLine {
  readonly line: number;
  readonly of: SoldLine;
  readonly piece: LockedPiece | null;
  readonly kept: Kept | null;
}

/** What pieces are and took, as their cost sheets say, when they are sold on a day. */
async function keptOf(
  { tx, session }: Posted,
  pieces: readonly LockedPiece[],
  soldOn: Day,
): Promise<(piece: LockedPiece) => Kept> {
  const rows = await tx.rows(metalsOfPiecesSql, { pieceIds: pieces.map(({ pieceId }) => pieceId) });
  const metals = new Map(rows.map(({ pieceId, metal }) => [pieceId, metal]));
  return (piece) => {
    const { lines, materials, minutes } = sheetOf(piece);
    const at = (id: CostLineId): CostUnits => lines.find((line) => line.id === id)?.actual ?? cost(0);
    return {
      ...{
        pieces: 1,
        patternId: piece.patternId,
        kind: piece.kind,
        metal: metals.get(piece.pieceId) ?? 'none',
      },
      ...{ materials: materials.actual, replaced: materials.replacement, minutes },
      ...{ labour: at('labour'), overhead: at('overhead') },
      days: Math.max(0, daysBetween(dayIn(zoneOf(session), piece.madeAt), soldOn)),
    };
  };
}

/** The sale that lines are of. */
interface EnteredSale extends Pick<RowIn<typeof SaleLine>, 'saleId' | 'channelId' | 'soldOn' | 'stoodOn'> {
  readonly turn: 'sold' | 'returned';
  readonly who: string;
}

/** Writes down what each line comes to, and what happened to its piece. */
async function enterLines(
  { tx, session, postKey }: Posted,
  { who, turn, ...sale }: EnteredSale,
  lines: readonly EnteredLine[],
): Promise<void> {
  const sign = turn === 'sold' ? 1 : -1;
  await tx.add(
    SaleLine,
    lines.map(({ line, of, piece, kept }) => ({
      ...sale,
      line,
      pieceId: piece?.pieceId ?? null,
      ...of,
      ...kept,
      costUnits: cost(piece ? bookedCost(piece) * sign : 0),
    })),
  );
  const pieces = lines.flatMap(({ piece }) => piece ?? []);
  await tx.add(
    PieceEvent,
    pieces.map((piece) => ({
      pieceId: piece.pieceId,
      turn,
      saleId: sale.saleId,
      who,
      costUnits: cost(bookedCost(piece) * booked(piece.state, TURNS[turn].to)),
      postKey,
      userId: session.userId,
      happenedAt: session.now,
    })),
  );
  await tx.change(
    Piece,
    { pieceId: pieces.map(({ pieceId }) => pieceId) },
    { state: TURNS[turn].to, stateSince: session.now, placeId: null },
  );
}

/** The sales that pieces were sold by last. */
async function lastSales(
  tx: Tx,
  pieceId: readonly Id<'piece'>[],
): Promise<ReadonlyMap<string, string | null>> {
  const events = await tx.all(PieceEvent, ['pieceId', 'saleId'], {
    where: { pieceId: [...pieceId], turn: 'sold' },
    order: ['eventId'],
  });
  return new Map(events.map((event) => [event.pieceId, event.saleId]));
}

/** Pieces of a sale come back: they stand on the shelf again, what was paid for them is paid back, and that is numbered as well. */
export const takeReturn = posts(
  'takeReturn',
  { input: ReturnInput, by: 'owner' },
  async (posted, input, number: number): Promise<Entered> => {
    const { tx } = posted;
    const sale = await tx.one(
      Sale,
      ['saleId', 'channelId', 'returnOf', 'soldOn', 'buyer', 'taxKind', 'taxPercent'],
      { where: { number } },
    );
    if (!sale || sale.returnOf !== null) throw refused(`${tag('sale', number)} is no sale.`);
    if (input.soldOn < sale.soldOn)
      throw invalid('soldOn', `It was sold on ${sale.soldOn}; nothing comes back before that.`);
    const pieces = await lockPieces(
      tx,
      input.pieces.map(({ piece }) => piece),
    );
    const soldBy = await lastSales(
      tx,
      pieces.map(({ pieceId }) => pieceId),
    );
    const sold = await tx.all(
      SaleLine,
      [
        ...(['line', 'pieceId', 'asked', 'price', 'net', 'tax', 'gross', 'fees', 'sending'] as const),
        ...(['patternId', 'kind', 'metal'] as const),
        ...(['materials', 'replaced', 'minutes', 'labour', 'overhead', 'days'] as const),
      ],
      { where: { saleId: sale.saleId } },
    );
    const lineOf = new Map(sold.map((row) => [row.pieceId, row]));
    const lines = pieces.map((piece, index): EnteredLine => {
      const found = lineOf.get(piece.pieceId);
      if (!found || soldBy.get(piece.pieceId) !== sale.saleId || piece.state !== 'sold')
        throw invalid(
          `pieces.${index}.piece`,
          `${tag('piece', piece.number)} is not with the buyer of ${tag('sale', number)}.`,
        );
      const { line, patternId, kind, metal } = found;
      const kept = { pieces: -1, patternId, kind, metal, ...tookBack(found) };
      return { line, of: refundOf(found, input.keepsFees), piece, kept };
    });
    const total = sumOfLines(lines.map(({ of }) => of));
    const { channelId, buyer, taxKind, taxPercent } = sale;
    const saleId = randomUUID();
    const entered = await enterSale(posted, {
      ...{ saleId, channelId, returnOf: sale.saleId, soldOn: day(input.soldOn), buyer, note: input.note },
      ...{ paidBy: input.paidBy, given: null, taxKind, taxPercent },
      ...total,
    });
    const of = { saleId, channelId, soldOn: day(input.soldOn), stoodOn: sale.soldOn };
    await enterLines(posted, { ...of, turn: 'returned', who: buyer }, lines);
    return { number: entered };
  },
);
