import { ok, type Result } from '../result';
import { minor, type MinorUnits } from '../units/money';
import { reckonSale, type ChannelTerms, type SaleReckoned } from './channel';
import { sellsFor, type Discount } from './discount';
import type { Taxed, TaxRounding } from './tax';

/** How a sale is paid. */
export const PAID_BY = ['cash', 'card', 'transfer', 'the channel'] as const;
export type PaidBy = (typeof PAID_BY)[number];

/** One line of a sale, as it is kept. */
export interface SoldLine extends Taxed {
  /** What was asked, and what it sold for. */
  readonly asked: MinorUnits;
  readonly price: MinorUnits;
  readonly fees: MinorUnits;
  readonly sending: MinorUnits;
}

/** What a basket comes to. */
export interface BasketSold extends Pick<SaleReckoned, 'total' | 'fees' | 'sending' | 'left'> {
  /** Of each piece, in its order. */
  readonly lines: readonly SoldLine[];
  /** What buyers pay for being sent it. */
  readonly postage: SoldLine | null;
}

/** How pieces are sold together. */
export interface BasketTerms {
  readonly discount: Discount;
  readonly terms: ChannelTerms;
  readonly rounding: TaxRounding;
  /** For what is said when more is let go than is asked. */
  readonly currency: string;
}

/**
 * What pieces come to that are sold together.
 * @param tags what stands on each tag
 * @returns a sentence when more is let go than is asked
 */
export function sellBasket(
  tags: readonly MinorUnits[],
  { discount, terms, rounding, currency }: BasketTerms,
): Result<BasketSold> {
  const prices = sellsFor(tags, discount, currency);
  if (!prices.ok) return prices;
  const { lines, postage, total, fees, sending, left, feesOf, sendingOf } = reckonSale(
    prices.value,
    terms,
    rounding,
  );
  const none = minor(0);
  return ok({
    total,
    fees,
    sending,
    left,
    lines: lines.map((line, index) => ({
      ...line,
      asked: tags[index] ?? none,
      price: prices.value[index] ?? none,
      fees: feesOf[index] ?? none,
      sending: sendingOf[index] ?? none,
    })),
    postage: postage && {
      ...postage,
      asked: terms.postageAsked,
      price: terms.postageAsked,
      fees: none,
      // It pays for sending, and leaves nothing itself.
      sending: postage.net,
    },
  });
}

/**
 * What goes back of a line when what it sold comes back: exactly what was paid. What sending cost is spent.
 * @param keepsFees whether the channel keeps its fees all the same
 */
export function refundOf(line: SoldLine, keepsFees: boolean): SoldLine {
  const back = (amount: MinorUnits): MinorUnits => minor(0 - amount);
  return {
    asked: back(line.asked),
    price: back(line.price),
    net: back(line.net),
    tax: back(line.tax),
    gross: back(line.gross),
    fees: keepsFees ? minor(0) : back(line.fees),
    sending: minor(0),
  };
}

/** What a line leaves to the studio, before what the piece cost. */
export const leftOf = ({ net, fees, sending }: Pick<SoldLine, 'net' | 'fees' | 'sending'>): MinorUnits =>
  minor(net - fees - sending);

/** All lines of a document together. */
export const sumOfLines = (lines: readonly SoldLine[]): Omit<SoldLine, 'asked' | 'price'> =>
  lines.reduce(
    (sum, line) => ({
      net: minor(sum.net + line.net),
      tax: minor(sum.tax + line.tax),
      gross: minor(sum.gross + line.gross),
      fees: minor(sum.fees + line.fees),
      sending: minor(sum.sending + line.sending),
    }),
    { net: minor(0), tax: minor(0), gross: minor(0), fees: minor(0), sending: minor(0) },
  );
