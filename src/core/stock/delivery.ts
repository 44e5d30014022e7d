import { ok, refuse, type Result } from '../result';
import type { Micrograms } from '../units/mass';
import { minor, type MinorUnits } from '../units/money';
import { shareOut } from '../units/shareOut';

/** What the postage of a delivery is shared by. */
export const SHARED_BY = ['value', 'weight'] as const;
export type SharedBy = (typeof SHARED_BY)[number];

/** A line of a delivery as it stands on the invoice. */
export interface InvoiceLine {
  /** In the invoice's currency; nought for a gift. */
  readonly price: MinorUnits;
  /** What it weighs, where that is known. */
  readonly weight?: Micrograms | undefined;
}

/** What a delivery cost besides its lines, in the invoice's currency. */
export interface Invoice {
  readonly lines: readonly InvoiceLine[];
  readonly postage: MinorUnits;
  /** Tax that is not got back. */
  readonly tax: MinorUnits;
  readonly sharedBy: SharedBy;
  /** What all of it came to in the studio's currency; undefined when the invoice is in that. */
  readonly cameTo?: MinorUnits | undefined;
}

/** What a line comes to once everything is shared out. */
export interface LandedLine {
  readonly postage: MinorUnits;
  readonly tax: MinorUnits;
  /** Price, postage and tax, in the invoice's currency. */
  readonly paid: MinorUnits;
  /** The same in the studio's currency: what the stock carries. */
  readonly cost: MinorUnits;
}

const sum = (amounts: readonly number[]): MinorUnits => minor(amounts.reduce((all, each) => all + each, 0));

/**
 * Shares the postage and the tax of a delivery out over its lines: postage by value or by weight, tax by value, as it was charged. A
 * gift bears nothing. Everything sums to the invoice exactly.
 * @returns what each line comes to, or a sentence when there is nothing to share by
 */
export function landedCosts({ lines, postage, tax, sharedBy, cameTo }: Invoice): Result<LandedLine[]> {
  const values = lines.map(({ price }) => price);
  if (sum(values) === 0 && sum([postage, tax, cameTo ?? 0]) > 0)
    return refuse('Every line is a gift, so there is nothing that could bear the postage or the tax.');
  const byWeight = sharedBy === 'weight' && postage > 0;
  const unweighed = lines.findIndex(({ price, weight = 0 }) => price > 0 && weight === 0);
  if (byWeight && unweighed >= 0)
    return refuse(`Say what line ${unweighed + 1} weighs, so that the postage can be shared by weight.`);
  const bearing = lines.map(({ price, weight = 0 }) => (price === 0 ? 0 : weight));
  const postages = shareOut(postage, byWeight ? bearing : values);
  const taxes = shareOut(tax, values);
  const paid = values.map((value, index) => sum([value, postages[index] ?? 0, taxes[index] ?? 0]));
  const costs = cameTo === undefined ? paid : shareOut(cameTo, paid);
  return ok(
    paid.map((each, index) => ({
      postage: postages[index] ?? minor(0),
      tax: taxes[index] ?? minor(0),
      paid: each,
      cost: costs[index] ?? minor(0),
    })),
  );
}
