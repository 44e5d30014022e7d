import { mulDiv } from '../units/exact';
import { minor, type MinorUnits } from '../units/money';
import { BASIS, type BasisPoints } from '../units/percent';
import { shareOut } from '../units/shareOut';
import { taxedLines, type TaxedLines, type TaxRounding, type TaxRule } from './tax';

/** The ways that pieces leave the studio for money. */
export const CHANNEL_KINDS = ['fair', 'online', 'commission', 'wholesale', 'to order', 'direct'] as const;
export type ChannelKind = (typeof CHANNEL_KINDS)[number];

/** What a percentage is taken of: of what the buyer pays, or of that without its tax. */
export const FEE_BASES = ['gross', 'net'] as const;
export type FeeBasis = (typeof FEE_BASES)[number];

/** What selling there costs. */
export interface ChannelTerms {
  /** What the channel keeps of a sale: a fee, or the share of a shop on commission. */
  readonly feePercent: BasisPoints;
  readonly feeOn: FeeBasis;
  /** And of every sale besides, however large it is. */
  readonly feeFixed: MinorUnits;
  /** What buyers pay for being sent what they bought, and what sending costs the studio; of a sale. */
  readonly postageAsked: MinorUnits;
  readonly postage: MinorUnits;
  /** Box, card and wrapping, of a piece. */
  readonly packing: MinorUnits;
  readonly tax: TaxRule;
}

/** What a sale comes to. */
export interface SaleReckoned extends TaxedLines {
  /** What buyers pay for being sent it, with its tax. It is the last line of the document when anything is asked. */
  readonly postage: TaxedLines['lines'][number] | null;
  /** What the channel keeps. */
  readonly fees: MinorUnits;
  /** Postage and packing that the studio pays. */
  readonly sending: MinorUnits;
  /** What comes to the studio: what was taken without its tax, less fees and sending. What the pieces cost is still in it. */
  readonly left: MinorUnits;
  /** Of fees and sending, what is each piece’s own: its packing, and all else by the prices. What buyers paid for postage is taken off first. */
  readonly feesOf: readonly MinorUnits[];
  readonly sendingOf: readonly MinorUnits[];
  /** What comes from each piece; together they are exactly what is left. */
  readonly leftOf: readonly MinorUnits[];
}

/**
 * What a sale comes to, by the terms of its channel.
 * @param prices what each piece sells for
 * @example reckonSale([minor(10_000)], { feePercent: 4000, feeOn: 'net', feeFixed: minor(0), postageAsked: minor(0), postage: minor(0), packing: minor(0), tax: { kind: 'none', percent: 0 } }, 'line').left // 6000
 */
export function reckonSale(
  prices: readonly MinorUnits[],
  terms: ChannelTerms,
  rounding: TaxRounding,
): SaleReckoned {
  const isSent = terms.postageAsked > 0 && prices.length > 0;
  const { lines, total } = taxedLines(isSent ? [...prices, terms.postageAsked] : prices, terms.tax, rounding);
  const [fees, sending] =
    prices.length === 0
      ? [minor(0), minor(0)]
      : [
          minor(mulDiv(total[terms.feeOn], terms.feePercent, BASIS) + terms.feeFixed),
          minor(terms.postage + terms.packing * prices.length),
        ];
  const left = minor(total.net - fees - sending);
  const postage = isSent ? (lines.at(-1) ?? null) : null;
  const pieces = lines.slice(0, prices.length);
  const feesOf = sharedByPrice(fees, prices);
  const packed = terms.packing * prices.length;
  const sendingOf = sharedByPrice(minor(sending - packed - (postage?.net ?? 0)), prices).map((share) =>
    minor(share + terms.packing),
  );
  return {
    lines: pieces,
    postage,
    total,
    fees,
    sending,
    left,
    feesOf,
    sendingOf,
    leftOf: pieces.map(({ net }, index) => minor(net - (feesOf[index] ?? 0) - (sendingOf[index] ?? 0))),
  };
}

/** An amount, maybe less than nothing, shared by prices; alike where nothing is asked for any of them. */
function sharedByPrice(amount: MinorUnits, prices: readonly MinorUnits[]): readonly MinorUnits[] {
  const sign = amount < 0 ? -1 : 1;
  const isFree = prices.every((price) => price === 0);
  return shareOut(minor(amount * sign), isFree ? prices.map(() => 1) : prices).map((share) =>
    minor(share * sign),
  );
}

/**
 * The lowest price on the tag at which a piece that is sold by itself pays for what it cost, fees and sending.
 * @param cost what it has to pay for, in minor units
 * @returns null where fees take more of a price than it brings
 * @example leastPrice(minor(6000), { feePercent: 4000, feeOn: 'net', feeFixed: minor(0), postageAsked: minor(0), postage: minor(0), packing: minor(0), tax: { kind: 'none', percent: 0 } }) // 10000
 */
export function leastPrice(cost: MinorUnits, terms: ChannelTerms): MinorUnits | null {
  const leftAt = (price: number): number => reckonSale([minor(price)], terms, 'line').left;
  const { kind, percent } = terms.tax;
  const untaxed = kind === 'included' ? BASIS / (BASIS + percent) : 1;
  const gross = kind === 'added' ? (BASIS + percent) / BASIS : 1;
  // What of a minor unit on the tag comes to the studio.
  const kept = untaxed - (terms.feePercent / BASIS) * (terms.feeOn === 'gross' ? gross : untaxed);
  if (kept <= 0) return leftAt(0) >= cost ? minor(0) : null;
  let price = Math.max(0, Math.ceil((cost - leftAt(0)) / kept));
  // What is rounded on the way moves it by a few minor units at most; fees and tax are rounded one by one.
  while (leftAt(price) < cost) price += 1;
  while (price > 0 && leftAt(price - 1) >= cost) price -= 1;
  return minor(price);
}
