import { ok, refuse, type Result } from '../result';
import { mulDiv } from '../units/exact';
import { formatMoney, minor, type MinorUnits } from '../units/money';
import { BASIS, type BasisPoints } from '../units/percent';
import { shareOut } from '../units/shareOut';

/** What is let go of the prices on the tags: a part of them, an amount, or all pieces together for one price. */
export type Discount =
  | { readonly kind: 'none' }
  | { readonly kind: 'part'; readonly percent: BasisPoints }
  | { readonly kind: 'amount'; readonly off: MinorUnits }
  | { readonly kind: 'together'; readonly price: MinorUnits };

/**
 * What each piece of a basket sells for once something is let go of its price. What is let go is shared out over the pieces by their prices, so
 * that they sum to what the buyer was told exactly.
 * @param tags what stands on each tag
 * @param currency for what is said when it cannot be
 * @returns a sentence when more is let go than is asked
 * @example sellsFor([minor(3000), minor(1000)], { kind: 'together', price: minor(3500) }, 'USD') // { ok: true, value: [2625, 875] }
 */
export function sellsFor(
  tags: readonly MinorUnits[],
  discount: Discount,
  currency: string,
): Result<readonly MinorUnits[]> {
  const asked = minor(tags.reduce((sum, each) => sum + each, 0));
  const price = priceOf(asked, discount);
  if (price < 0 || price > asked) {
    const given = discount.kind === 'amount' ? discount.off : price;
    return refuse(
      `${formatMoney(minor(given), currency)} was given; the tags say ${formatMoney(asked, currency)} together.`,
    );
  }
  return ok(price === asked ? tags : shareOut(minor(price), tags));
}

/** What all of it comes to; it may be less than nothing, or more than is asked. */
function priceOf(asked: MinorUnits, discount: Discount): number {
  switch (discount.kind) {
    case 'none':
      return asked;
    case 'part':
      return asked - mulDiv(asked, discount.percent, BASIS);
    case 'amount':
      return asked - discount.off;
    case 'together':
      return discount.price;
  }
}

/**
 * What is given back of the money that was handed over.
 * @returns a sentence when it is not enough
 * @example changeOf(minor(3550), minor(5000), 'USD') // { ok: true, value: 1450 }
 */
export function changeOf(due: MinorUnits, given: MinorUnits, currency: string): Result<MinorUnits> {
  return given < due
    ? refuse(
        `${formatMoney(given, currency)} was given; ${formatMoney(due, currency)} is to pay, ${formatMoney(minor(due - given), currency)} more.`,
      )
    : ok(minor(given - due));
}
