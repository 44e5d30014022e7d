import { BEAD_SHAPES, type BeadKind, type BeadShape } from '../bead/bead';
import { FINDINGS, type FindingKind } from '../stock/finding';
import { OUTLINES, type OutlineKind, type StoneMeasures } from '../stone/stone';
import { mm, type Micrometres } from '../units/length';

/** Something in the drawers that a piece can take, as far as it matters for choosing it. */
export type PartKind =
  | ({ readonly ware: 'bead' } & BeadKind)
  | ({ readonly ware: 'stone' } & Pick<StoneMeasures, 'material' | 'outline' | 'length' | 'width' | 'hole'>)
  | {
      readonly ware: 'finding';
      readonly finding: FindingKind;
      readonly material: string;
      readonly size: string;
    };

/** What a piece wants of the drawers, as it was said: "round bead, 6 mm, garnet, hole at least 0.9". */
export interface WantedPart {
  readonly wares: readonly PartKind['ware'][];
  readonly finding: FindingKind | undefined;
  /** Shape of a bead. */
  readonly shape: BeadShape | undefined;
  /** Outline of a stone. */
  readonly outline: OutlineKind | undefined;
  /** One size for a bead or a finding, length and width for a stone, in the order said. */
  readonly sizes: readonly Micrometres[];
  /** The hole is at least so wide. */
  readonly hole: Micrometres | undefined;
  /** What else was said: its material. */
  readonly words: readonly string[];
}

/** Sizes are said as nominal sizes; what is so near is the same (common practice). */
export const SAME_SIZE = { bead: mm(0.25), stone: mm(0.5), finding: mm(0.25) } as const;

const STONE_WORDS = ['cab', 'cabochon', 'stone', 'point', 'pebble', 'tumbled', 'undrilled'];
const NOISE = [
  'long',
  'wide',
  'any',
  'a',
  'an',
  'of',
  'the',
  'in',
  'with',
  'at',
  'least',
  'from',
  'mm',
  'size',
  'x',
  'small',
  'large',
  'drilled',
  'lengthwise',
];
const NUMBER = /^\d{1,4}(?:[.,]\d{1,3})?$/;

const singular = (word: string): string =>
  word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
const numberIn = (word: string): Micrometres => mm(Number(word.replace(',', '.')));

/** A word without the stops and commas around it. */
function withoutStops(word: string): string {
  let [from, to] = [0, word.length];
  while (from < to && '.,'.includes(word[from] ?? '')) from += 1;
  while (to > from && '.,'.includes(word[to - 1] ?? '')) to -= 1;
  return word.slice(from, to);
}

/** The words of a text; sizes written in one, "18x13mm", become several. */
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replaceAll('×', ' x ')
    .replaceAll('ø', ' ')
    .replace(/(?<=\d)(?=mm|x)|(?<=x)(?=\d)/g, ' ')
    .split(/[\s()“”"≥:;]+/)
    .map(withoutStops)
    .filter((word) => word !== '');

/** The finding that is named in words, and the words without its name. */
function findingIn(words: readonly string[]): {
  readonly finding: FindingKind | undefined;
  readonly rest: readonly string[];
} {
  for (const finding of FINDINGS) {
    if (finding === 'other') continue;
    const name = finding.split(' ');
    const at = words.findIndex((_, index) =>
      name.every((part, offset) => singular(words[index + offset] ?? '') === part),
    );
    if (at >= 0)
      return { finding, rest: words.filter((_, index) => index < at || index >= at + name.length) };
  }
  return { finding: undefined, rest: words };
}

/** Takes the sizes and the hole out of words. */
function sizesIn(
  words: readonly string[],
): Pick<WantedPart, 'sizes' | 'hole'> & { readonly rest: readonly string[] } {
  const [sizes, rest]: [Micrometres[], string[]] = [[], []];
  let hole: Micrometres | undefined;
  let isHole = false;
  for (const word of words) {
    if (word === 'hole') isHole = true;
    else if (NUMBER.test(word)) {
      if (isHole) hole = numberIn(word);
      else sizes.push(numberIn(word));
      isHole = false;
    } else rest.push(word);
  }
  return { sizes, hole, rest };
}

const waresOf = (kinds: readonly string[], finding: FindingKind | undefined): WantedPart['wares'] => {
  if (finding !== undefined) return ['finding'];
  if (kinds.some((word) => STONE_WORDS.includes(word))) return ['stone'];
  // Briolettes and drops lie among the beads of some studios and among the stones of others.
  if (kinds.includes('briolette') || kinds.includes('drop')) return ['bead', 'stone'];
  if (kinds.includes('bead')) return ['bead'];
  const isOutline = kinds.some((word) => OUTLINES.some((each) => each === word && each !== 'round'));
  if (isOutline) return ['stone'];
  return kinds.some((word) => BEAD_SHAPES.some((each) => each === word)) ? ['bead'] : [];
};

/**
 * Reads what a part is wanted to be out of what it is called.
 * @returns undefined when the name says too little to look for it: "bead" alone may be any
 * @example readWantedPart('round bead, 6 mm, garnet, hole at least 0.9')
 * // { wares: ['bead'], shape: 'round', sizes: [6000], hole: 900, words: ['garnet'], … }
 */
export function readWantedPart(name: string): WantedPart | undefined {
  const read = readPart(name);
  const { wares, finding, outline, sizes, hole, words } = read;
  const saysEnough =
    finding !== undefined || outline !== undefined || hole !== undefined || sizes.length + words.length > 0;
  return wares.length > 0 && saysEnough ? read : undefined;
}

/** What a name says, be it little. */
function readPart(name: string): WantedPart {
  const named = findingIn(wordsOf(name));
  const { sizes, hole, rest } = sizesIn(named.rest);
  const kinds = rest.map(singular);
  const wares = waresOf(kinds, named.finding);
  const shape = wares.includes('bead') ? BEAD_SHAPES.find((each) => kinds.includes(each)) : undefined;
  const outline = wares.includes('stone') ? OUTLINES.find((each) => kinds.includes(each)) : undefined;
  const known = new Set<string>([...STONE_WORDS, ...NOISE, 'bead', 'graded', ...BEAD_SHAPES, ...OUTLINES]);
  const words = rest.filter((word) => !known.has(singular(word)));
  return { wares, finding: named.finding, shape, outline, sizes, hole, words };
}

/** Beads that hang from their tip: nobody threads one where a bead is wanted. */
const HANGING: readonly BeadShape[] = ['drop', 'briolette'];

/** Whether shapes that are told agree; a bead of which no shape is told is none that hangs. */
const isShaped = (own: WantedPart, want: WantedPart): boolean =>
  own.shape === undefined ||
  own.shape === want.shape ||
  (want.shape === undefined && (want.wares.includes('stone') || !HANGING.includes(own.shape)));

/**
 * Whether a part that a maker has named stands for one that the work wants: "garnet, round, 3 mm" for "bead, 3 mm", a named cab for the
 * stone of the frame.
 */
export function standsFor(named: string, wanted: string): boolean {
  const [own, want] = [readPart(named), readPart(wanted)];
  if (!own.wares.some((ware) => want.wares.includes(ware)) || own.finding !== want.finding) return false;
  const agree = <T>(a: T | undefined, b: T | undefined) => a === undefined || b === undefined || a === b;
  const same = own.wares[0] === undefined ? 0 : SAME_SIZE[own.wares[0]];
  return (
    isShaped(own, want) &&
    agree(own.outline, want.outline) &&
    want.words.every((word) => own.words.includes(word)) &&
    own.sizes.every((size, index) => Math.abs(size - (want.sizes[index] ?? size)) <= same)
  );
}

/**
 * What a part that a maker has named is called once the size that the work wants is added to it, where its name says none.
 * @example sizedName('prehnite cab', 'oval stone, 18 × 13 mm') // 'prehnite cab, 18 × 13 mm'
 */
export function sizedName(named: string, wanted: string): string {
  const { sizes, hole } = readPart(named);
  const at = wanted.indexOf(', ');
  return sizes.length > 0 || hole !== undefined || at < 0 ? named : named + wanted.slice(at);
}

/** Whether a material is what was said: each word is in it, or all of it was said. */
const isOfMaterial = (words: readonly string[], material: string): boolean => {
  const said = material.trim().toLowerCase();
  return (
    words.every((word) => said.includes(word)) ||
    (said !== '' && ` ${words.join(' ')} `.includes(` ${said} `))
  );
};

const within = (off: number, same: Micrometres): number | undefined => (off <= same ? off : undefined);

/** How far a size is off a range; nought inside it. */
const offRange = (size: number, from: number, to: number): number => Math.max(0, from - size, size - to);

function sizeMisfit({ sizes }: WantedPart, part: PartKind): number | undefined {
  const [first, second] = sizes;
  if (first === undefined) return 0;
  if (part.ware === 'bead') {
    const nearest = Math.min(...sizes.map((size) => offRange(size, part.min, part.max)));
    return within(nearest, SAME_SIZE.bead);
  }
  if (part.ware === 'finding') {
    const { sizes: own } = sizesIn(wordsOf(part.size));
    return own.length === 0
      ? undefined
      : within(Math.min(...own.map((size) => Math.abs(size - first))), SAME_SIZE.finding);
  }
  const width = second ?? (part.outline === 'round' ? first : part.width);
  return within(Math.max(Math.abs(part.length - first), Math.abs(part.width - width)), SAME_SIZE.stone);
}

/**
 * How far something in the drawers is off what is wanted, µm: 0 is just it.
 * @returns undefined when it is something else
 */
export function misfit(wanted: WantedPart, part: PartKind): number | undefined {
  if (!wanted.wares.includes(part.ware) || !isOfMaterial(wanted.words, part.material)) return undefined;
  if (part.ware === 'finding') return part.finding === wanted.finding ? sizeMisfit(wanted, part) : undefined;
  if (wanted.hole !== undefined && part.hole < wanted.hole) return undefined;
  if (part.ware === 'bead' && wanted.shape !== undefined && part.shape !== wanted.shape) return undefined;
  if (part.ware === 'stone' && wanted.outline !== undefined && part.outline !== wanted.outline)
    return undefined;
  return sizeMisfit(wanted, part);
}
