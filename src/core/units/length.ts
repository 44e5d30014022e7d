import { ok, refuse, type Result } from '../result';
import { parseQuantity, trimmedDecimal, type QuantityGrammar } from './quantity';

declare const lengthUnit: unique symbol;
/** A length in whole micrometres (µm): how every length is stored and computed. */
export type Micrometres = number & { readonly [lengthUnit]: 'µm' };

/** The two ways a studio reads lengths. */
export type LengthSystem = 'in' | 'mm';

export const UM_PER_MM = 1000;
/** The international inch is 25.4 mm exactly (1959 yard and pound agreement). */
export const UM_PER_INCH = 25_400;
export const UM_PER_FOOT = 304_800;
export const UM_PER_METRE = 1_000_000;

/**
 * A whole number of micrometres as a length.
 * @throws RangeError when `value` is not a whole, safe number
 * @example um(812) // 812
 */
export function um(value: number): Micrometres {
  if (!Number.isSafeInteger(value)) throw new RangeError(`${value} is not a whole number of micrometres`);
  return value as Micrometres;
}

/** Millimetres to the nearest micrometre. @example mm(0.812) // 812 */
export const mm = (value: number): Micrometres => um(Math.round(value * UM_PER_MM));

/** Sum of lengths. @example sumLengths([um(15_000), um(12_000)]) // 27000 */
export const sumLengths = (lengths: readonly Micrometres[]): Micrometres =>
  um(lengths.reduce<number>((sum, each) => sum + each, 0));

const times = (size: number) => ({ over: BigInt(size), under: 1n });

export const LENGTH_GRAMMAR: QuantityGrammar = {
  noun: 'length',
  examples: '10 1/4 in, 26 cm, 0.4 mm or 3\' 2"',
  units: [
    { names: ['km', 'kilometre', 'kilometres'], size: times(1_000_000_000) },
    { names: ['m', 'metre', 'metres', 'meter', 'meters'], size: times(UM_PER_METRE) },
    { names: ['yd', 'yds', 'yard', 'yards'], size: times(914_400) },
    { names: ['ft', 'foot', 'feet', "'"], size: times(UM_PER_FOOT), next: 'in' },
    { names: ['in', 'inch', 'inches', 'ins', '"'], size: times(UM_PER_INCH) },
    { names: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], size: times(10_000) },
    { names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], size: times(UM_PER_MM) },
    { names: ['µm', 'um', 'micron', 'microns'], size: times(1) },
  ],
  limit: { base: 100_000_000_000, said: '100 km' },
};

/**
 * Reads a length as makers write it: "10 1/4", "26cm", "0.4 mm", "3' 2\"", "10½ in".
 *
 * @param system the unit of a bare number; without it a bare number is refused
 * @returns whole micrometres, exact to the nearest one, or a sentence to show beside the field
 * @example parseLength('10 1/4', 'in') // { ok: true, value: 260350 }
 */
export function parseLength(text: string, system?: LengthSystem): Result<Micrometres> {
  return parseQuantity(text, LENGTH_GRAMMAR, system) as Result<Micrometres>;
}

/** The most lengths that one text is read as. */
const MOST_LENGTHS = 20;

/**
 * Reads one length or several: "40 mm", "15 mm + 12 mm", "2 × 15 mm". Nothing at all is a length of 0.
 * @returns the lengths that are more than 0, or a sentence to show beside the field
 * @example parseLengths('2 × 15 mm + 12 mm') // { ok: true, value: [15000, 15000, 12000] }
 */
export function parseLengths(text: string, system?: LengthSystem): Result<Micrometres[]> {
  const all: Micrometres[] = [];
  for (const part of text.split('+')) {
    const [, times = '1', one = part] = /^\s*(\d{1,2})\s*[×x*]\s*(\S.*)$/i.exec(part) ?? [];
    const read = parseLength(one, system);
    if (!read.ok) return read;
    if (read.value > 0) all.push(...Array.from({ length: Number(times) }, () => read.value));
    if (all.length > MOST_LENGTHS)
      return refuse(`“${text.slice(0, 60)}” is more than ${MOST_LENGTHS} lengths; give their sum.`);
  }
  return ok(all);
}

/**
 * Several lengths as they are put into a form to be typed over: reads back through {@link parseLengths}.
 * @example writableLengths([um(15_000), um(12_000)], 'mm') // '15 mm + 12 mm'
 */
export function writableLengths(lengths: readonly Micrometres[], system: LengthSystem): string {
  const [first] = lengths;
  if (first === undefined) return `0 ${system}`;
  if (lengths.length > 1 && lengths.every((each) => each === first))
    return `${lengths.length} × ${writableLength(first, system)}`;
  return lengths.map((each) => writableLength(each, system)).join(' + ');
}

const SIXTY_FOURTHS = 64;
/** A 64th is no whole number of micrometres, so sums of fractions drift by a few of them; nobody can see that much. */
const SAME = 5;

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/**
 * A length in inches and fractions to 1/64 ("10 1/4 in"), in feet and inches from ten feet up. A length that is not on a
 * 64th (to a few micrometres) is marked "≈", so that nothing is converted behind the maker's back.
 */
function formatInches(length: Micrometres): string {
  const sixtyFourths = Math.round((length * SIXTY_FOURTHS) / UM_PER_INCH);
  const exact = Math.abs((sixtyFourths * UM_PER_INCH) / SIXTY_FOURTHS - length) <= SAME;
  const mark = exact ? '' : '≈ ';
  if (sixtyFourths === 0 && length > 0) return '< 1/64 in';
  const perFoot = 12 * SIXTY_FOURTHS;
  const feet = sixtyFourths >= 10 * perFoot ? Math.floor(sixtyFourths / perFoot) : 0;
  const left = sixtyFourths - feet * perFoot;
  const whole = Math.floor(left / SIXTY_FOURTHS);
  const over = left % SIXTY_FOURTHS;
  const divisor = gcd(over, SIXTY_FOURTHS);
  const fraction = over === 0 ? '' : `${over / divisor}/${SIXTY_FOURTHS / divisor}`;
  const inches = [whole === 0 && fraction !== '' ? '' : String(whole), fraction].filter(Boolean).join(' ');
  if (feet === 0) return `${mark}${inches} in`;
  return left === 0 ? `${mark}${feet} ft` : `${mark}${feet} ft ${inches} in`;
}

function formatMetric(length: Micrometres): string {
  if (Math.abs(length) >= UM_PER_METRE) return `${trimmedDecimal(length / UM_PER_METRE, 6)} m`;
  return `${trimmedDecimal(length / UM_PER_MM, 3)} mm`;
}

/**
 * A length in full, in the system asked for. Metric text is exact and reads back to the same micrometre; inch text reads
 * back exactly when it is on a 64th.
 * @example formatLength(um(260350), 'in') // "10 1/4 in"
 */
export function formatLength(length: Micrometres, system: LengthSystem): string {
  if (length < 0) return `−${formatLength(um(-length), system)}`;
  return system === 'in' ? formatInches(length) : formatMetric(length);
}

/** What is known of a length that lies in stock: from so much on, to so much, in millimetres and in parts of an inch. */
const KNOWN: Readonly<Record<LengthSystem, readonly { readonly from: number; readonly to: number }[]>> = {
  mm: [
    { from: 100 * UM_PER_METRE, to: 100_000 },
    { from: 10 * UM_PER_METRE, to: 10_000 },
    { from: 100_000, to: 1000 },
    { from: 0, to: 100 },
  ],
  in: [
    { from: 100 * UM_PER_FOOT, to: UM_PER_INCH },
    { from: 10 * UM_PER_FOOT, to: UM_PER_INCH / 4 },
    { from: 6 * UM_PER_INCH, to: UM_PER_INCH / 16 },
    { from: 0, to: UM_PER_INCH / 32 },
  ],
};

/**
 * A length as well as anybody knows it: nobody measures or weighs thirty metres on a spool to a 64th of an inch, so figures beyond a
 * thousandth or so are left out, and nothing is marked as near. The books keep it to the micrometre.
 * @example formatLengthKnown(um(130_572), 'in') // '5 5/32 in'
 */
export function formatLengthKnown(length: Micrometres, system: LengthSystem): string {
  const size = Math.abs(length);
  const step = KNOWN[system].find(({ from }) => size >= from)?.to ?? 1;
  const near = um(Math.round(Math.round(size / step) * step));
  if (near === 0) return formatLength(length, system);
  const said = formatLength(near, system).replace('≈ ', '');
  return length < 0 ? `−${said}` : said;
}

/**
 * A length both ways: "254 mm = 10 in", or "200 mm ≈ 7 7/8 in" where the inches are to the nearest 64th.
 * @example formatBothWays(um(254_000)) // '254 mm = 10 in'
 */
export function formatBothWays(length: Micrometres): string {
  const inches = formatLength(length, 'in');
  const exact = !inches.startsWith('≈');
  return `${formatLength(length, 'mm')} ${exact ? '=' : '≈'} ${inches.replace('≈ ', '')}`;
}

/**
 * A length as it is put into a form to be typed over: in the system asked for when that reads back exactly, else in metric.
 * @example writableLength(um(26_000), 'mm') // '26 mm'
 */
export function writableLength(length: Micrometres, system: LengthSystem): string {
  const printed = formatLength(length, system);
  const back = parseLength(printed);
  return back.ok && back.value === length ? printed : formatLength(length, 'mm');
}

/**
 * A length short enough for a label beside a bar: three figures at most ("32.8 ft", "9.14 m", "254 mm").
 * @example formatLengthShort(um(812_400), 'mm') // '812 mm'
 */
export function formatLengthShort(length: Micrometres, system: LengthSystem): string {
  if (system === 'in') {
    if (length >= 10 * UM_PER_FOOT) return `${shortFigure(length / UM_PER_FOOT)} ft`;
    return `${trimmedDecimal(length / UM_PER_INCH, length < UM_PER_INCH ? 2 : 1)} in`;
  }
  if (length >= UM_PER_METRE) return `${shortFigure(length / UM_PER_METRE)} m`;
  return `${trimmedDecimal(length / UM_PER_MM, length < 10 * UM_PER_MM ? 1 : 0)} mm`;
}

function shortFigure(value: number): string {
  return value >= 100
    ? Math.round(value).toLocaleString('en-US')
    : trimmedDecimal(value, value >= 10 ? 1 : 2);
}

/**
 * A wire's size in millimetres to the micrometre ("0.812 mm"): always metric, since that is what is stored.
 * @example formatDiameter(um(812)) // '0.812 mm'
 */
export const formatDiameter = (size: Micrometres): string => `${trimmedDecimal(size / UM_PER_MM, 3)} mm`;

/** Parts of an inch that a hand marks along a wire, and that it cuts to. */
const [MARKED, CUT] = [32, 16];

const inchParts = (length: Micrometres, parts: number, round: (value: number) => number): Micrometres =>
  um(Math.round((round((length * parts) / UM_PER_INCH) * UM_PER_INCH) / parts));

/**
 * A computed length as it is marked along a wire: to a tenth of a millimetre, or to 1/32 in.
 * @example formatToMark(um(43_217), 'mm') // '43.2 mm'
 */
export const formatToMark = (length: Micrometres, system: LengthSystem): string =>
  system === 'mm'
    ? `${trimmedDecimal(length / UM_PER_MM, 1)} mm`
    : formatInches(inchParts(length, MARKED, Math.round)).replace('≈ ', '');

/**
 * A computed length as a hand cuts it: up to the next millimetre, or to the next 1/16 in, so that nothing comes out short.
 * @example roundedUpToCut(um(43_217), 'mm') // 44000
 */
export const roundedUpToCut = (length: Micrometres, system: LengthSystem): Micrometres =>
  system === 'mm' ? um(Math.ceil(length / UM_PER_MM) * UM_PER_MM) : upToInchPart(length);

/** The next 1/16 in; a length that is one already, to the micrometre, stays. */
const upToInchPart = (length: Micrometres): Micrometres => {
  const nearest = inchParts(length, CUT, Math.round);
  return nearest === length ? length : inchParts(length, CUT, Math.ceil);
};

/** {@link roundedUpToCut} in words. @example formatToCut(um(43_217), 'mm') // '44 mm' */
export const formatToCut = (length: Micrometres, system: LengthSystem): string =>
  system === 'mm'
    ? `${roundedUpToCut(length, system) / UM_PER_MM} mm`
    : formatInches(roundedUpToCut(length, system)).replace('≈ ', '');

/**
 * A computed length as it is marked, both ways, for paper that is read by everybody: "98.1 mm, 3 7/8 in".
 * @example formatMarkBothWays(um(25_400), 'mm') // '25.4 mm, 1 in'
 */
export const formatMarkBothWays = (length: Micrometres, first: LengthSystem): string =>
  `${formatToMark(length, first)}, ${formatToMark(length, first === 'mm' ? 'in' : 'mm')}`;
