import type { PatternKind } from '../pattern/pattern';

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
    'Both hang at one height',
  ],
  ring: [...OF_ANY, 'Sits upright', 'Size the same, both ways round'],
  bracelet: [...OF_ANY, 'Jump rings closed, no gap', 'Clasp closes and opens'],
  necklace: [...OF_ANY, 'Jump rings closed, no gap', 'Clasp closes and opens', 'Hangs straight'],
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
