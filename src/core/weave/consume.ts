import type { Path } from '../geometry/path';
import { figureEight, oneWrap, type FrameRow } from '../wrap/wrap';
import { betweenGroups, halvesOf, type Half } from './halves';
import { laidLength, layFlat, passLength, type FlatRow } from './layFlat';
import { isBeside, wiresOf, type Weave, type WeaveGroup } from './notation';

/** What a weave is laid with and over, mm. */
export interface WeaveWires {
  /** Diameter of the frame wires, or their side when they are square. */
  readonly base: number;
  readonly profile?: 'round' | 'square';
  /** Diameter of the weaving wire. */
  readonly weaving: number;
  /** Gap between neighbouring frame wires; what the weave needs to pass between them when it is not told. */
  readonly gap?: number;
  /** From the middle of each frame wire to the next one’s, where they do not all stand alike. */
  readonly steps?: readonly number[];
  /** Weaving wires that are laid side by side as one. */
  readonly strands?: number;
  /** How far each wrap moves on along the frame; as far as the weaving wires are thick when they lie close. */
  readonly pitch?: number;
}

const pitchOf = ({ weaving, strands = 1, pitch = weaving * strands }: WeaveWires): number => pitch;

/** What one repeat of a weave takes and yields, mm. */
export interface WeaveNeed {
  /** Length of each weaving wire in one repeat. */
  readonly wire: number;
  /** How far one repeat moves on along the frame. */
  readonly advance: number;
  /** The same for what closes it. */
  readonly closeWire: number;
  readonly closeAdvance: number;
  readonly gap: number;
}

/**
 * A figure-eight takes two thicknesses along the frame, since its two strands cross between the wires (common practice: bands
 * of them come out so).
 */
const EIGHT_ADVANCE = 2;

/** The gap that a weave makes by itself: wire passes between two frame wires wherever a group ends between them. */
export function gapOf(weave: Weave, { weaving, gap }: WeaveWires): number {
  const groups = [...weave.repeat, ...weave.close];
  // A figure-eight passes between two wires, so they cannot lie closer than the weaving wire is thick.
  if (gap !== undefined) return groups.some(({ kind }) => kind === 'eight') ? Math.max(gap, weaving) : gap;
  const last = wiresOf(weave) - 1;
  const passes = groups.some((group) => group.kind !== 'wrap' || group.first > 0 || group.last < last);
  // Coils side by side lie beside one another between their wires.
  return (groups.some(isBeside) ? 2 : passes ? 1 : 0) * weaving;
}

const rowOf = (wires: WeaveWires, gap: number, count: number): FrameRow => ({
  profile: wires.profile ?? 'round',
  size: wires.base,
  count,
  gap,
});

const flatRow = ({ base, weaving, profile = 'round', steps }: WeaveWires, gap: number): FlatRow => ({
  profile,
  base,
  weaving,
  step: base + gap,
  ...(steps ? { steps } : {}),
});

function needOf(group: WeaveGroup, wires: WeaveWires, gap: number): { wire: number; advance: number } {
  const { base, weaving } = wires;
  const pitch = pitchOf(wires);
  // Passing to another wire is counted for the weave as a whole, whether it is written or not.
  if (group.kind === 'pass') return { wire: 0, advance: 0 };
  if (group.kind === 'eight') {
    const advance = EIGHT_ADVANCE * pitch;
    return {
      wire: group.wraps * Math.hypot(figureEight(base, weaving, base + gap), advance),
      advance: group.wraps * advance,
    };
  }
  return {
    wire: group.wraps * oneWrap(rowOf(wires, gap, group.last - group.first + 1), weaving, pitch),
    advance: group.beside ? 0 : (group.fits ?? group.wraps) * pitch,
  };
}

/**
 * What a weave takes: the sum of its wraps, each √[(π(D + d) + 2(k − 1)(D + g))² + p²] over k wires, or a crossed belt for a
 * figure-eight (unrolled with its pitch like every wrap); it moves on by the wraps times the wire’s diameter. Source: handbook of the trade.
 * Where it goes on to a frame wire that stands further off than the weaving wire is thick, the way through the gap comes to it, and
 * what it runs further from one group to the next.
 */
export function weaveNeed(weave: Weave, wires: WeaveWires): WeaveNeed {
  const gap = gapOf(weave, wires);
  const sum = (groups: readonly WeaveGroup[]) =>
    groups
      .map((group) => needOf(group, wires, gap))
      .reduce((all, each) => ({ wire: all.wire + each.wire, advance: all.advance + each.advance }), {
        wire: 0,
        advance: 0,
      });
  const [repeat, close] = [sum(weave.repeat), sum(weave.close)];
  if (wires.steps || [...weave.repeat, ...weave.close].some(isBeside))
    return { ...laidNeed(weave, wires), gap };
  const { passes, steps } = betweenGroups(weave.repeat);
  const between = passes * passLength(flatRow(wires, gap)) + steps * (wires.base + gap);
  return {
    wire: repeat.wire + between,
    advance: repeat.advance,
    closeWire: close.wire,
    closeAdvance: close.advance,
    gap,
  };
}

/** What a weave takes whose wire goes back between coils side by side, or whose wires do not all stand alike: measured as it is laid. */
function laidNeed(weave: Weave, wires: WeaveWires): Omit<WeaveNeed, 'gap'> {
  const laid = ({ repeat, close }: Weave, repeats: number): { wire: number; advance: number } => {
    const halves = halvesOfWeave({ repeat, close }, repeats);
    const half = pitchOf(wires) / 2;
    return {
      wire: laidLength(halves, flatRow(wires, gapOf(weave, wires)), pitchOf(wires)),
      advance: halves.reduce((sum, { part = 1 }) => sum + part * half, 0),
    };
  };
  // Whoever turns about at every repeat comes back to where it was after two.
  const open: Weave = { repeat: weave.repeat, close: [] };
  const [two, four, closed] = [laid(open, 2), laid(open, 4), laid(weave, 2)];
  return {
    wire: (four.wire - two.wire) / 2,
    advance: (four.advance - two.advance) / 2,
    closeWire: closed.wire - two.wire,
    closeAdvance: closed.advance - two.advance,
  };
}

/** Repeats that cover a length of frame: the first whole number that reaches it. */
export const repeatsFor = ({ advance, closeAdvance }: WeaveNeed, length: number): number =>
  Math.max(0, Math.ceil((length - closeAdvance) / advance - 1e-9));

/** Whole repeats, with what closes them, that go into a length of frame. */
export const repeatsWithin = ({ advance, closeAdvance }: WeaveNeed, length: number): number =>
  Math.max(0, Math.floor((length - closeAdvance) / advance + 1e-9));

/** Repeats that a length of weaving wire, without its tails, is enough for. */
export const repeatsFrom = ({ wire, closeWire }: WeaveNeed, length: number): number =>
  Math.max(0, Math.floor((length - closeWire) / wire + 1e-9));

/** Weaving wire that so many repeats take, with what closes them, mm. */
export const wireFor = ({ wire, closeWire }: WeaveNeed, repeats: number): number =>
  repeats * wire + closeWire;

/**
 * Where the outer wire of a bent weave wants a wrap more: the outside of a strip of width w that is bent to an inner radius r is
 * (r + w)/r times as long, so the extra wraps are spread evenly.
 * @param wraps on the outer wire, all together
 * @returns after which of the wraps one more is laid, counted from 1
 */
export function extraWraps(wraps: number, width: number, innerRadius: number): number[] {
  const extra = Math.round((wraps * width) / innerRadius);
  return Array.from({ length: extra }, (_, index) => Math.round(((index + 0.5) * wraps) / extra));
}

/** How repeats fall on the two halves of a symmetrical piece; an odd one is left for the middle. */
export const mirrored = (repeats: number): { aSide: number; middle: 0 | 1 } => ({
  aSide: Math.floor(repeats / 2),
  middle: repeats % 2 ? 1 : 0,
});

/** How the weaving wire goes over and under, half a wrap after the other. */
export function halvesOfWeave({ repeat, close }: Weave, repeats: number): Half[] {
  const groups = [...Array.from({ length: repeats }, () => repeat).flat(), ...close];
  return halvesOf(groups, close.length > 0 ? [] : repeat);
}

/** Length of some of the half wraps of a weave, mm: from the first of them to before another. */
export const lengthOfHalves = (
  weave: Weave,
  wires: WeaveWires,
  [first, beyond]: readonly [number, number],
): number =>
  laidLength(
    halvesOfWeave(weave, 1).slice(first, beyond),
    flatRow(wires, gapOf(weave, wires)),
    pitchOf(wires),
  );

/**
 * The way of the weaving wire, one line without a break; frame wires run along x, wire A at y = 0 and the others below it.
 * @param laid the half wraps that are laid of it, first and beyond the last; all when it is not told
 */
export function weavePath(
  weave: Weave,
  wires: WeaveWires,
  repeats: number,
  laid: readonly [first: number, beyond: number] = [0, Infinity],
): Path {
  const halves = halvesOfWeave(weave, repeats).slice(...laid);
  return layFlat(halves, flatRow(wires, gapOf(weave, wires)), pitchOf(wires));
}
