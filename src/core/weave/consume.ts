import { eightRound, figureEight, oneWrap, sectionRound, type FrameRow } from '../wrap/wrap';
import { turnsRound, type Path } from '../geometry/path';
import { wiresOf, type Weave, type WeaveGroup } from './notation';

/** What a weave is laid with and over, mm. */
export interface WeaveWires {
  /** Diameter of the frame wires, or their side when they are square. */
  readonly base: number;
  readonly profile?: 'round' | 'square';
  /** Diameter of the weaving wire. */
  readonly weaving: number;
  /** Gap between neighbouring frame wires; what the weave needs to pass between them when it is not told. */
  readonly gap?: number;
  /** Weaving wires that are laid side by side as one. */
  readonly strands?: number;
}

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
  return passes ? weaving : 0;
}

const rowOf = (wires: WeaveWires, gap: number, count: number): FrameRow => ({
  profile: wires.profile ?? 'round',
  size: wires.base,
  count,
  gap,
});

/** Whether frame wires stand no further apart than the weaving wire is thick. */
const isOneWireGap = (weaving: number, gap: number): boolean => gap <= weaving * (1 + 1e-9);

function needOf(group: WeaveGroup, wires: WeaveWires, gap: number): { wire: number; advance: number } {
  const { base, weaving, strands = 1 } = wires;
  const pitch = weaving * strands;
  // Between wires that stand one thickness apart the turns themselves lead through.
  if (group.kind === 'pass') return { wire: isOneWireGap(weaving, gap) ? 0 : base + gap, advance: 0 };
  if (group.kind === 'eight') {
    const advance = EIGHT_ADVANCE * pitch;
    return {
      wire: group.wraps * Math.hypot(figureEight(base, weaving, base + gap), advance),
      advance: group.wraps * advance,
    };
  }
  return {
    wire: group.wraps * oneWrap(rowOf(wires, gap, group.last - group.first + 1), weaving, pitch),
    advance: group.wraps * pitch,
  };
}

/**
 * What a weave takes: the sum of its wraps, each √[(π(D + d) + 2(k − 1)(D + g))² + p²] over k wires, or a crossed belt for a
 * figure-eight (unrolled with its pitch like every wrap); it moves on by the wraps times the wire’s diameter. Source: handbook of the trade.
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
  return { ...repeat, closeWire: close.wire, closeAdvance: close.advance, gap };
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

/**
 * The way of the weaving wire as it is drawn, group by group; frame wires run along x, wire A at y = 0 and the others below it.
 */
export function weavePaths(weave: Weave, wires: WeaveWires, repeats: number): Path[] {
  const gap = gapOf(weave, wires);
  const { base, weaving, strands = 1 } = wires;
  const pitch = weaving * strands;
  const step = base + gap;
  const paths: Path[] = [];
  let x = 0;
  const lay = (group: WeaveGroup) => {
    if (group.kind === 'pass') {
      if (isOneWireGap(weaving, gap)) return;
      paths.push([
        { x, y: 0, z: (base + weaving) / 2 },
        { x, y: step, z: (base + weaving) / 2 },
      ]);
      return;
    }
    const eight = group.kind === 'eight';
    const last = eight ? group.first + 1 : group.last;
    const middle = ((group.first + last) / 2) * step;
    const section = eight
      ? eightRound(base, weaving, step)
      : sectionRound(rowOf(wires, gap, last - group.first + 1), weaving);
    const advance = eight ? EIGHT_ADVANCE * pitch : pitch;
    const path = turnsRound(section, group.wraps, advance, x);
    paths.push(path.map((point) => ({ ...point, y: point.y + middle })));
    x += group.wraps * advance;
  };
  for (let turn = 0; turn < repeats; turn += 1) weave.repeat.forEach(lay);
  weave.close.forEach(lay);
  return paths;
}
