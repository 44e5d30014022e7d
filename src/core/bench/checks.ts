import type { PatternKind } from '../pattern/pattern';
import { ok, refuse, type Result } from '../result';

/** The longest check, in characters, and the most of one kind. */
export const LONGEST_CHECK = 120;
export const MOST_CHECKS = 30;

/** What finished pieces of each kind are looked at for; of kinds that are not named, {@link checksOf} says what. */
export type Checks = Readonly<Partial<Record<PatternKind, readonly string[]>>>;

const OF_ANY = [
  'Stone tight in all directions',
  'Wires side by side, none crossed',
  'Wraps counted: left and right alike',
  'Loops alike, in the plane they should be',
  'Nothing sharp under a fingertip',
];

/** What a studio begins with, by kind. Handbook of the trade, section 9 (common practice). */
const TO_BEGIN_WITH: Readonly<Record<PatternKind, readonly string[]>> = {
  pendant: [...OF_ANY, 'Best face of the stone outward', 'Hangs straight', 'Bail free, its ring on'],
  earrings: [
    ...OF_ANY,
    'Ends of the ear wires rounded',
    'Both alike, side by side',
    'Difference in height: … mm',
  ],
  ring: [...OF_ANY, 'Sits upright', 'Size the same, both ways round'],
  bracelet: [...OF_ANY, 'Jump rings closed, no gap', 'Clasp closes and opens', 'Closed, inside: … mm'],
  necklace: [
    ...OF_ANY,
    'Jump rings closed, no gap',
    'Clasp closes and opens',
    'Hangs straight',
    'Open, end to end: … mm',
  ],
  brooch: [...OF_ANY, 'Pin closes', 'Best face of the stone outward'],
  finding: ['Loops alike, in the plane they should be', 'Closed, no gap', 'Nothing sharp under a fingertip'],
  other: OF_ANY,
};

/**
 * What a finished piece of a kind is looked at for.
 * @param own what the studio has written for it
 * @example checksOf({ ring: ['Sits upright'] }, 'ring') // ['Sits upright']
 */
export const checksOf = (own: Checks, kind: PatternKind): readonly string[] =>
  own[kind] ?? TO_BEGIN_WITH[kind];

/** A check that is measured: what is said before and behind the figure. */
export interface MeasuredCheck {
  readonly before: string;
  readonly behind: string;
}

const FIGURE = /…|\.\.\./u;

/**
 * Where the figure of a check goes: where its words leave a gap, as in “Gap: … mm”.
 * @returns undefined for one that is only looked at
 * @example measuredBy('Gap: … mm') // { before: 'Gap:', behind: 'mm' }
 */
export function measuredBy(check: string): MeasuredCheck | undefined {
  const [before = '', behind, ...more] = check.split(FIGURE).map((part) => part.trim());
  return behind === undefined || more.length > 0 ? undefined : { before, behind };
}

/**
 * A check with what was measured in the place of its figure.
 * @param reading empty when nothing was
 * @example checkSaid('Gap: … mm', '0.4') // 'Gap: 0.4 mm'
 */
export function checkSaid(check: string, reading: string): string {
  const measured = measuredBy(check);
  return measured && reading !== '' ? `${measured.before} ${reading} ${measured.behind}`.trim() : check;
}

/** The largest figure of a check. */
const LARGEST = 99_999;

/**
 * Reads the figure of a check; empty is none.
 * @example readReading('0,4') // { ok: true, value: '0.4' }
 */
export function readReading(typed: string): Result<string> {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return ok('');
  const read = /^\d{1,5}(\.\d{1,3})?$/.test(plain) ? Number(plain) : NaN;
  return read <= LARGEST
    ? ok(String(read))
    : refuse(`“${typed.slice(0, 20)}” was given; a figure from 0 to ${LARGEST} is wanted.`);
}
