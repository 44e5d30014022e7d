import { ok, refuse, type Result } from '../result';
import { decimalRatio, divideRounded, type Ratio } from './exact';

/** One unit a quantity may be written in. */
export interface Unit {
  /** Spellings, lower case, without a trailing full stop. */
  readonly names: readonly string[];
  /** How many base units (µm, µg) one of it is: exact. */
  readonly size: Ratio;
  /** The unit that a bare number takes after this one, as inches do after feet. */
  readonly next?: string;
}

/** What a written quantity means: which units there are, what a bare number is, and how large it may get. */
export interface QuantityGrammar {
  /** "length", "weight": used in messages. */
  readonly noun: string;
  /** Examples shown with every refusal. */
  readonly examples: string;
  readonly units: readonly Unit[];
  /** Largest allowed value in base units and how to say it. */
  readonly limit: { readonly base: number; readonly said: string };
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Longest text worth reading; longer is a paste by mistake. */
const MAX_TEXT = 60;

const NUMBER = String.raw`(?:(?<above>\d+)\s*\/\s*(?<below>\d+)|(?<decimal>\d+(?:\.\d+)?|\.\d+)(?:(?:\s+|-)(?<over>\d+)\s*\/\s*(?<under>\d+))?)`;
const NAME = String.raw`(?<name>(?:t(?:roy)?\s+)?[a-zµ'"]+(?:\s+(?:t(?:roy)?|avdp|av|avoirdupois)\b)?)?`;
/** One number with its unit: "1/4", "10 1/4 in", "26cm", ".8 mm". */
const TERM = new RegExp(String.raw`^${NUMBER}\s*${NAME}\.?\s*`);

function normalise(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR[sign] ?? ''}`)
    .replace(/[′’‘]/g, "'")
    .replace(/[″“”]|''/g, '"')
    .replace(/[\u2044\u2215]/g, '/')
    .replace(/(\d),(\d{1,2}|\d{4,})(?!\d)/g, '$1.$2')
    .trim()
    .toLowerCase();
}

/**
 * Reads a written quantity exactly: decimals, vulgar and written fractions, and sums of units from large to small
 * ("3 ft 2 1/2 in"). A decimal comma is understood; a comma before exactly three digits is refused as ambiguous.
 *
 * @param bareUnit the unit that a number without one takes; without it such a number is refused
 * @returns whole base units (rounded to the nearest) or a sentence saying what was given and what is allowed
 * @example parseQuantity('2 1/2', { noun: 'weight', examples: '2 g', units: [{ names: ['g'], size: decimalRatio('10') }], limit: { base: 99, said: '9 g' } }, 'g') // { ok: true, value: 25 }
 */
export function parseQuantity(text: string, grammar: QuantityGrammar, bareUnit?: string): Result<number> {
  const { noun, examples } = grammar;
  const given = text.length > MAX_TEXT ? `${text.slice(0, MAX_TEXT)}…` : text;
  const no = (why: string) => refuse(`“${given}” ${why} Write it like ${examples}.`);
  if (text.trim() === '') return refuse(`Enter a ${noun}, like ${examples}.`);
  if (text.length > MAX_TEXT) return no(`is too long to be a ${noun}.`);
  let rest = normalise(text);
  if (/^[-−–]/.test(rest)) return no(`is negative; a ${noun} is zero or more.`);
  if (/\d,\d{3}(?!\d)/.test(rest))
    return no('has a comma that could mean thousands or a decimal; leave it out.');

  let total: Ratio = { over: 0n, under: 1n };
  let previous: Unit | undefined;
  while (rest !== '') {
    const match = TERM.exec(rest);
    if (!match?.groups) return no(`is not a ${noun}.`);
    const { decimal, name, above = match.groups['over'], below = match.groups['under'] } = match.groups;
    if (below !== undefined && BigInt(below) === 0n) return no('has a fraction with 0 below the line.');
    if (above !== undefined && decimal?.includes('.')) return no('mixes a decimal with a fraction.');

    const wanted = name?.replace(/\s+/g, ' ') ?? previous?.next ?? (previous ? undefined : bareUnit);
    if (wanted === undefined) {
      return no(previous ? 'ends in a number without a unit.' : `has no unit; say which.`);
    }
    const unit = grammar.units.find((candidate) => candidate.names.includes(wanted));
    if (!unit) return no(`has “${wanted}”, which is not a unit of ${noun}.`);
    if (previous && unit.size.over * previous.size.under >= previous.size.over * unit.size.under) {
      return no('names its units out of order; write the larger one first.');
    }

    const amount = decimal === undefined ? { over: 0n, under: 1n } : decimalRatio(decimal);
    const part =
      above === undefined ? amount : add(amount, { over: BigInt(above), under: BigInt(below ?? '1') });
    total = add(total, { over: part.over * unit.size.over, under: part.under * unit.size.under });
    previous = unit;
    rest = rest.slice(match[0].length);
  }
  const base = divideRounded(total.over, total.under);
  if (base > BigInt(grammar.limit.base)) return no(`is more than ${grammar.limit.said}.`);
  return ok(Number(base));
}

function add(a: Ratio, b: Ratio): Ratio {
  return { over: a.over * b.under + b.over * a.under, under: a.under * b.under };
}

/**
 * A decimal with at most `places` figures after the point and no trailing noughts ("0.8", "26").
 * @example trimmedDecimal(2.5, 3) // '2.5'
 */
export function trimmedDecimal(value: number, places: number): string {
  const [whole = '', fraction = ''] = value.toFixed(places).split('.');
  const last = [...fraction].findLastIndex((digit) => digit !== '0');
  return last < 0 ? whole : `${whole}.${fraction.slice(0, last + 1)}`;
}
