import { day, type Day } from '@/core/calendar/day';
import type { PatternKind } from '@/core/pattern/pattern';
import { leftOf, type PaidBy } from '@/core/selling/sale';
import type { TaxRule } from '@/core/selling/tax';
import { numberOnTag } from '@/core/tag';
import { COST_UNITS_PER_MINOR, minor, sumCosts, type CostUnits, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Piece } from '@/data/models/making';
import { Order } from '@/data/models/orders';
import { Sale, SaleLine } from '@/data/models/selling';
import { readPage, readSums } from '@/data/pages';
import { salesList } from '@/data/sql/sales';
import { look, type StudioSession } from '../kernel/useCase';
import { costToMake, OUTLAY_COLUMNS } from '../shelf/shelf';
import { paperStudio, settingsIn, type PaperStudio } from '../settings/settings';
import { channelsIn, type KnownChannel } from './channels';
import { keptFor } from './keptFor';
import type { SalesQuery } from './sales.input';

/** A sale or a return as it is listed; what the studio keeps of it is null for helpers. */
export interface SaleListed {
  readonly number: number;
  readonly soldOn: Day;
  readonly buyer: string;
  readonly channel: string;
  /** Number of the sale that something came back of; null for a sale. */
  readonly returnOf: number | null;
  readonly pieces: number;
  /** What they are called, one after another. */
  readonly names: string;
  readonly gross: MinorUnits;
  /** After tax, fees and sending. */
  readonly left: MinorUnits | null;
  /** After what the pieces cost, too. */
  readonly earned: MinorUnits | null;
}

export interface SalesPage {
  readonly sales: readonly SaleListed[];
  /** Of what was asked for. */
  readonly total: number;
  readonly gross: MinorUnits;
  readonly tax: MinorUnits;
  readonly left: MinorUnits | null;
  /** Where anything was or is sold. */
  readonly channels: readonly Pick<KnownChannel, 'id' | 'name'>[];
  readonly next: string | null;
}

/** The ways of sorting them. */
export const SALE_SORTINGS = salesList.orders;

const PAGE = 40;

/** A cost in whole minor units, as money is told; halves go up. */
const inMinor = (cost: CostUnits): MinorUnits => minor(Math.round(cost / COST_UNITS_PER_MINOR));

/** What was sold, as it is asked for: a page of it, the newest first when nothing is said. */
export function listSales(session: StudioSession, query: SalesQuery = {}): Promise<SalesPage> {
  return look(session, async (tx) => {
    const sees = session.role === 'owner';
    const number = numberOnTag('sale', query.words ?? '');
    const asked = {
      ...(number === undefined ? { buyer: query.words } : { number }),
      channel: query.channel,
      from: query.from === undefined ? undefined : day(query.from),
      to: query.to === undefined ? undefined : day(query.to),
      ...(query.only === 'returns' && { isReturn: true }),
    };
    const [sums] = await readSums(tx, salesList, {}, asked);
    const { rows, next } = await readPage(tx, salesList, {}, asked, { ...query, size: PAGE });
    return {
      sales: rows.map(({ cost, net, fees, sending, tax: _, kind: __, ...row }) => {
        const left = leftOf({ net, fees, sending });
        return { ...row, left: sees ? left : null, earned: sees ? minor(left - inMinor(cost)) : null };
      }),
      total: sums?.total ?? 0,
      gross: sums?.gross ?? minor(0),
      tax: sums?.tax ?? minor(0),
      left: sees ? (sums?.left ?? minor(0)) : null,
      channels: (await channelsIn(tx)).map(({ id, name }) => ({ id, name })),
      next,
    };
  });
}

/** A line of a sale as it is shown. */
export interface SaleLineShown {
  readonly line: number;
  /** Null for what buyers pay to be sent it. */
  readonly piece: {
    readonly number: number;
    readonly name: string;
    readonly size: string;
    readonly kind: PatternKind;
  } | null;
  readonly asked: MinorUnits;
  readonly price: MinorUnits;
  readonly tax: MinorUnits;
  readonly gross: MinorUnits;
  /** Number of the return that it came back by; null while the buyer has it. */
  readonly returnedBy: number | null;
  /** For the owner: what it left after fees and sending, and what the piece stood in the books at. */
  readonly left: MinorUnits | null;
  readonly cost: CostUnits | null;
}

/** A sale or a return with its lines. */
export interface SaleShown {
  readonly number: number;
  readonly channel: string;
  readonly returnOf: number | null;
  readonly soldOn: Day;
  readonly buyer: string;
  readonly note: string;
  readonly paidBy: PaidBy;
  readonly given: MinorUnits | null;
  /** Who sold it, in which currency, and how its papers are written. */
  readonly studio: PaperStudio;
  readonly tax: TaxRule;
  /** What of it was paid before, and the day that the rest is to be paid by; null where it was paid at once. */
  readonly paidBefore: MinorUnits;
  readonly payBy: Day | null;
  /** Where its buyer is; may be empty. */
  readonly address: string;
  readonly total: { readonly net: MinorUnits; readonly tax: MinorUnits; readonly gross: MinorUnits };
  readonly by: string;
  readonly lines: readonly SaleLineShown[];
  /** For the owner: number of the order that it was handed over by; null for any other sale. */
  readonly order: number | null;
  /** For the owner. */
  readonly kept: {
    readonly fees: MinorUnits;
    readonly sending: MinorUnits;
    readonly left: MinorUnits;
    readonly cost: CostUnits;
  } | null;
}

/** A sale or a return; null when there is none of that number. */
export function showSale(session: StudioSession, number: number): Promise<SaleShown | null> {
  return look(session, async (tx) => {
    const sees = session.role === 'owner';
    const sale = await tx.oneWith(
      Sale,
      [
        ...(['saleId', 'number', 'returnOf', 'soldOn', 'buyer', 'note', 'paidBy', 'given'] as const),
        ...(['taxKind', 'taxPercent', 'net', 'tax', 'gross', 'fees', 'sending'] as const),
        ...(['paidBefore', 'payBy', 'address'] as const),
      ],
      { channel: ['name'], user: ['name'] },
      { where: { number } },
    );
    if (!sale) return null;
    const { saleId, taxKind, taxPercent, net, tax, gross, fees, sending, channel, user, ...rest } = sale;
    const lines = await tx.allWith(
      SaleLine,
      [...(['line', 'asked', 'price', 'net', 'tax', 'gross', 'fees', 'sending', 'costUnits'] as const)],
      { piece: ['number', 'name', 'size', 'kind'] },
      { where: { saleId }, order: ['line'] },
    );
    const returned = await returnedLines(tx, saleId);
    return {
      ...rest,
      returnOf: rest.returnOf === null ? null : await numberOf(tx, rest.returnOf),
      channel: channel.name,
      by: user.name,
      studio: paperStudio(await settingsIn(tx)),
      tax: { kind: taxKind, percent: taxPercent },
      total: { net, tax, gross },
      lines: lines.map(({ line, piece, asked, price, costUnits, ...money }) => ({
        line,
        piece,
        asked,
        price,
        tax: money.tax,
        gross: money.gross,
        returnedBy: returned.get(line) ?? null,
        left: sees ? leftOf(money) : null,
        cost: sees ? costUnits : null,
      })),
      order: sees ? ((await tx.one(Order, ['number'], { where: { saleId } }))?.number ?? null) : null,
      kept: sees
        ? {
            fees,
            sending,
            left: leftOf({ net, fees, sending }),
            cost: sumCosts(lines.map(({ costUnits }) => costUnits)),
          }
        : null,
    };
  });
}

const numberOf = async (tx: Tx, saleId: string): Promise<number | null> =>
  (await tx.one(Sale, ['number'], { where: { saleId } }))?.number ?? null;

/** Which lines of a sale came back, by the numbers of the returns. */
async function returnedLines(tx: Tx, saleId: string): Promise<ReadonlyMap<number, number>> {
  const returns = await tx.all(Sale, ['saleId', 'number'], { where: { returnOf: saleId } });
  const lines = await tx.all(SaleLine, ['saleId', 'line'], {
    where: { saleId: returns.map((each) => each.saleId) },
  });
  const numbers = new Map(returns.map((each) => [each.saleId, each.number]));
  return new Map(lines.map((each) => [each.line, numbers.get(each.saleId) ?? 0]));
}

/** A piece that can be sold, with the price on its tag; what it cost to make is null for helpers. */
export interface ForSale {
  readonly number: number;
  readonly name: string;
  readonly size: string;
  /** Whom it is kept for; null where it is kept for nobody. */
  readonly keptFor: string | null;
  readonly price: MinorUnits | null;
  readonly cost: MinorUnits | null;
}

/** Pieces by their numbers, in that order, as they would be sold; those that do not stand on the shelf are left out. */
export function forSale(session: StudioSession, numbers: readonly number[]): Promise<readonly ForSale[]> {
  return look(session, async (tx) => {
    const sees = session.role === 'owner';
    const rows = await tx.all(
      Piece,
      ['pieceId', 'number', 'name', 'size', 'state', 'price', ...OUTLAY_COLUMNS],
      {
        where: { number: [...new Set(numbers)], struckAt: null, drawerStockId: null },
      },
    );
    const kept = await keptFor(tx, rows);
    return [...new Set(numbers)].flatMap((number) => {
      const row = rows.find((each) => each.number === number);
      if (!row) return [];
      const { name, size, price } = row;
      return [
        { number, name, size, keptFor: kept(row), price, cost: sees ? inMinor(costToMake(row)) : null },
      ];
    });
  });
}

const UNTOLD = { feePercent: 0, feeFixed: minor(0), postage: minor(0), packing: minor(0) };

/** A channel without what selling there costs the studio: that is no helper’s business, nor a buyer’s; what buyers pay is. */
export const withoutCosts = (channel: KnownChannel): KnownChannel => ({
  ...channel,
  terms: { ...channel.terms, ...UNTOLD },
});

/** Where something can be sold now, with the terms of each; for helpers without what the studio pays there. */
export const openChannels = (session: StudioSession): Promise<readonly KnownChannel[]> =>
  look(session, async (tx) =>
    (await channelsIn(tx))
      .filter(({ isOpen }) => isOpen)
      .map((each) => (session.role === 'owner' ? each : withoutCosts(each))),
  );
