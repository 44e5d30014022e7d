import { ok, refuse, type Result } from '../result';
import { decimalRatio, divideRounded, mulDiv } from './exact';

declare const moneyUnit: unique symbol;
/** Money in whole minor units (cents, pence): what is paid and asked. */
export type MinorUnits = number & { readonly [moneyUnit]: 'minor' };
/** Money in thousandths of a minor unit: what a millimetre of wire carries. */
export type CostUnits = number & { readonly [moneyUnit]: 'cost' };

/** How many cost units one minor unit is. Fine enough that a millimetre of copper still costs something. */
export const COST_UNITS_PER_MINOR = 1000;

/** A currency the studio may keep its books in. */
export interface Currency {
  readonly code: string;
  readonly name: string;
  /** Figures after the point: 2 for cents, 0 for yen (ISO 4217). */
  readonly places: number;
}

export const CURRENCIES: readonly Currency[] = [
  { code: 'USD', name: 'US dollar', places: 2 },
  { code: 'EUR', name: 'Euro', places: 2 },
  { code: 'GBP', name: 'Pound sterling', places: 2 },
  { code: 'CAD', name: 'Canadian dollar', places: 2 },
  { code: 'AUD', name: 'Australian dollar', places: 2 },
  { code: 'NZD', name: 'New Zealand dollar', places: 2 },
  { code: 'CHF', name: 'Swiss franc', places: 2 },
  { code: 'SEK', name: 'Swedish krona', places: 2 },
  { code: 'NOK', name: 'Norwegian krone', places: 2 },
  { code: 'DKK', name: 'Danish krone', places: 2 },
  { code: 'PLN', name: 'Polish zloty', places: 2 },
  { code: 'INR', name: 'Indian rupee', places: 2 },
  { code: 'JPY', name: 'Japanese yen', places: 0 },
];

/**
 * The currency of a code.
 * @throws RangeError for a code not in {@link CURRENCIES}
 * @example currencyOf('EUR').places // 2
 */
export function currencyOf(code: string): Currency {
  const found = CURRENCIES.find((each) => each.code === code);
  if (!found) throw new RangeError(`${code} is not one of ${CURRENCIES.map((each) => each.code).join(', ')}`);
  return found;
}

function whole(value: number, what: string): number {
  if (!Number.isSafeInteger(value)) throw new RangeError(`${value} is not a whole number of ${what}`);
  return value;
}

/** A whole number of minor units. @throws RangeError when it is not whole @example minor(1250) // 1250 */
export const minor = (value: number): MinorUnits => whole(value, 'minor units') as MinorUnits;
/** A whole number of cost units. @throws RangeError when it is not whole @example cost(1_250_000) // 1250000 */
export const cost = (value: number): CostUnits => whole(value, 'cost units') as CostUnits;

/** @example toCost(minor(1250)) // 1250000 */
export const toCost = (money: MinorUnits): CostUnits => cost(money * COST_UNITS_PER_MINOR);
/** Cost to the nearest minor unit. @example toMinor(cost(1_250_499)) // 1250 */
export const toMinor = (amount: CostUnits): MinorUnits => minor(mulDiv(amount, 1, COST_UNITS_PER_MINOR));
/** @example sumCosts([cost(400), cost(50)]) // 450 */
export const sumCosts = (costs: readonly CostUnits[]): CostUnits =>
  cost(costs.reduce<number>((sum, each) => sum + each, 0));

/** The most that one amount may be, in major units: far above any studio, far below 2^53 cost units. */
const MAX_MAJOR = 10_000_000n;

/** Takes the thousands apart: "1,000.50" and "1.000,50" are the same amount. */
function ungrouped(text: string): string {
  if (/^\d{1,3}(,\d{3})+(\.\d+)?$/.test(text)) return text.replaceAll(',', '');
  return /^\d{1,3}(\.\d{3})+,\d{1,2}$/.test(text) ? text.replaceAll('.', '').replace(',', '.') : text;
}

/**
 * Reads an amount of money: "12.50", "$12.50", "1,250", "12,50 €", "1.000,50".
 * @returns whole minor units, or a sentence; more figures after the point than the currency has are refused
 * @example parseMoney('$1,250.50', 'USD') // { ok: true, value: 125050 }
 */
export function parseMoney(text: string, code: string): Result<MinorUnits> {
  const { places } = currencyOf(code);
  const example = places === 0 ? '1250' : '12.50';
  const given = text.length > 40 ? `${text.slice(0, 40)}…` : text;
  const stripped = text.replace(/[\s\p{Sc}]/gu, '').replace(new RegExp(`^${code}|${code}$`, 'i'), '');
  if (stripped === '') return refuse(`Enter an amount in ${code}, like ${example}.`);
  if (/^[-−–]/.test(stripped))
    return refuse(`“${given}” is negative; an amount is zero or more, like ${example}.`);
  const grouped = ungrouped(stripped);
  const plain = grouped.replace(/^(\d*),(\d{1,2})$/, '$1.$2');
  if (!/^(\d+(\.\d*)?|\.\d+)$/.test(plain))
    return refuse(`“${given}” is not an amount; write it like ${example}.`);
  const decimals = plain.split('.')[1]?.length ?? 0;
  if (decimals > places) {
    return refuse(
      `“${given}” has ${decimals} figures after the point; ${code} has ${places}. Write it like ${example}.`,
    );
  }
  const { over, under } = decimalRatio(plain);
  if (over > MAX_MAJOR * under)
    return refuse(`“${given}” is more than ${MAX_MAJOR.toLocaleString('en-US')} ${code}.`);
  return ok(minor(Number(divideRounded(over * 10n ** BigInt(places), under))));
}

/**
 * Reads an amount that carries its currency code ("12.50 USD"), as forms send it, so that an amount typed under one
 * currency is never taken for another.
 * @example parseAmount('12.50 USD') // { ok: true, value: { money: 1250, code: 'USD' } }
 */
export function parseAmount(text: string): Result<{ readonly money: MinorUnits; readonly code: string }> {
  const code = /\b([A-Z]{3})$/.exec(text.trim())?.[1];
  if (!code || !CURRENCIES.some((each) => each.code === code)) return refuse('Enter an amount, like 12.50.');
  const read = parseMoney(text, code);
  return read.ok ? ok({ money: read.value, code }) : read;
}

/** Prints an amount with a true minus sign, as lengths have it. */
function printAmount(amount: number, code: string, leastPlaces: number, mostPlaces: number): string {
  return new Intl.NumberFormat('en-US', {
    style: 'currency',
    currency: code,
    currencyDisplay: 'narrowSymbol',
    minimumFractionDigits: leastPlaces,
    maximumFractionDigits: mostPlaces,
  })
    .format(amount)
    .replace('-', '−');
}

/** An amount with its currency ("$12.50"). @example formatMoney(minor(1250), 'USD') // '$12.50' */
export function formatMoney(money: MinorUnits, code: string): string {
  const { places } = currencyOf(code);
  return printAmount(money / 10 ** places, code, places, places);
}

/**
 * An amount as it would be typed ("12.50"): reads back through {@link parseMoney}.
 * @example plainMoney(minor(1250), 'USD') // '12.50'
 */
export function plainMoney(money: MinorUnits, code: string): string {
  const { places } = currencyOf(code);
  return (money / 10 ** places).toFixed(places);
}

/**
 * A cost rounded to minor units and printed; small costs keep two more figures so that they do not read as nothing.
 * @example formatCost(cost(1_250_000), 'USD') // '$12.50'
 */
export function formatCost(amount: CostUnits, code: string): string {
  const money = toMinor(amount);
  if (amount === 0 || Math.abs(money) >= 10) return formatMoney(money, code);
  const { places } = currencyOf(code);
  return printAmount(amount / COST_UNITS_PER_MINOR / 10 ** places, code, places, places + 2);
}

/**
 * A cost as it stands in a column of costs: to the minor unit, and what is less than one is told as such.
 * @example formatCostInColumn(cost(400), 'USD') // '< $0.01'
 */
export function formatCostInColumn(amount: CostUnits, code: string): string {
  const money = toMinor(amount);
  if (amount === 0 || money !== 0) return formatMoney(money, code);
  return `${amount < 0 ? '> −' : '< '}${formatMoney(minor(1), code)}`;
}

/**
 * The share of `total` that `part` of `whole` carries, rounded to the nearest cost unit. What remains keeps the rest, so
 * the shares always sum to the whole exactly; taking all of it takes all of the cost.
 * @throws RangeError when part is not within 0…whole
 * @example shareOfCost(cost(1000), 1, 3) // 333
 */
export function shareOfCost(total: CostUnits, part: number, of: number): CostUnits {
  if (part < 0 || part > of) throw new RangeError(`cannot take ${part} of ${of}`);
  return of === 0 ? cost(0) : cost(mulDiv(total, part, of));
}

/**
 * Reads a cost to its last cost unit, three figures finer than the currency: "2.31234". Money for a purchase is read by
 * {@link parseMoney}; this is for costs that wire carries, as a list has them.
 * @example parseCost('0.01234', 'USD') // { ok: true, value: 1234 }
 */
export function parseCost(text: string, code: string): Result<CostUnits> {
  const { places } = currencyOf(code);
  const plain = text.replace(/\s/g, '').replace(new RegExp(`${code}$`, 'i'), '');
  const fine = places + 3;
  if (!/^\d+(\.\d+)?$/.test(plain) || (plain.split('.')[1]?.length ?? 0) > fine)
    return refuse(
      `“${text.slice(0, 40)}” is not a cost; write it like 2.31 or, to the last figure, 2.31234.`,
    );
  const { over, under } = decimalRatio(plain);
  if (over > MAX_MAJOR * under)
    return refuse(`“${text.slice(0, 40)}” is more than ${MAX_MAJOR.toLocaleString('en-US')} ${code}.`);
  return ok(cost(Number((over * 10n ** BigInt(fine)) / under)));
}

/**
 * A cost to its last cost unit, as a list has it: reads back through {@link parseCost}.
 * @example plainCost(cost(1234), 'USD') // '0.01234'
 */
export function plainCost(amount: CostUnits, code: string): string {
  const { places } = currencyOf(code);
  return (amount / 10 ** (places + 3)).toFixed(places + 3);
}
