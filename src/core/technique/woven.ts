import { counted } from '../units/counted';
import type { Path } from '../geometry/path';
import { ok, refuse, type Result } from '../result';
import { mirrored, repeatsFor, repeatsWithin, weaveNeed, weavePath, wireFor } from '../weave/consume';
import { printWeave, wiresOf, type Weave } from '../weave/notation';
import type { WireSize } from './parameter';
import { straight } from './shapes';
import { allowance, net, type PlannedCut, type Term } from './technique';

/** Repeats beyond this are drawn by nobody and read by nobody. */
const MOST_REPEATS = 1000;

/** A strip of weave, mm: its whole repeats, what they cover, and how it is drawn along x from 0, wire A on the x axis. */
export interface Strip {
  readonly repeats: number;
  readonly covered: number;
  /** How far each repeat moves on. */
  readonly advance: number;
  /** Turns of the weaving wire, all together; a figure-eight is two. */
  readonly wraps: number;
  readonly wires: number;
  /** From one frame wire’s centre to the next one’s. */
  readonly step: number;
  /** How wide it is across its frame wires. */
  readonly across: number;
  readonly term: Term;
  readonly frames: readonly Path[];
  readonly weaving: readonly Path[];
}

/** Minutes that one turn of a weave takes, however its repeat is written. */
const MINUTES_A_WRAP = 0.14;

/** Minutes to weave a strip: by its turns. */
export const minutesToWeave = ({ wraps }: Pick<Strip, 'wraps'>): number => wraps * MINUTES_A_WRAP;

const wrapsIn = (groups: Weave['repeat']): number =>
  groups.reduce(
    (sum, group) =>
      sum + (group.kind === 'pass' ? 0 : group.kind === 'eight' ? 2 * group.wraps : group.wraps),
    0,
  );

/**
 * Weaves over frame wires until a length is covered, or as far as whole repeats go within it.
 * @returns a sentence when the weave never gets there
 */
export function stripOf(
  woven: Weave,
  base: WireSize,
  weaving: WireSize,
  long: number,
  fit: 'covering' | 'within' = 'covering',
): Result<Strip> {
  const wires = {
    base: base.width,
    profile: base.profile === 'square' ? ('square' as const) : ('round' as const),
    weaving: weaving.width,
  };
  const need = weaveNeed(woven, wires);
  if (need.advance <= 0)
    return refuse('This weave does not move on along the frame; give it a wrap, like A3 AB2.');
  const repeats = fit === 'covering' ? repeatsFor(need, long) : repeatsWithin(need, long);
  if (repeats > MOST_REPEATS)
    return refuse(`That is ${counted(repeats, 'repeat')}; ${MOST_REPEATS} are allowed.`);
  const covered = repeats * need.advance + need.closeAdvance;
  const step = base.width + need.gap;
  const count = wiresOf(woven);
  return ok({
    repeats,
    covered,
    advance: need.advance,
    wraps: repeats * wrapsIn(woven.repeat) + wrapsIn(woven.close),
    wires: count,
    step,
    across: (count - 1) * step + base.width,
    term: net(`${counted(repeats, 'repeat')} of ${printWeave(woven)}`, wireFor(need, repeats)),
    frames: Array.from({ length: count }, (_, index) => straight(0, index * step, covered, index * step)),
    weaving: [weavePath(woven, wires, repeats)],
  });
}

/**
 * A strip that is drawn along x, bent to a circle: x runs round it, clockwise on the paper from an angle, wire A outermost.
 * @param radius of the centre line of wire A
 */
export const bent = (paths: readonly Path[], radius: number, along: number, start: number): Path[] =>
  paths.map((path) =>
    path.map(({ x, y, z }) => {
      const angle = start + x / along;
      return { x: (radius - y) * Math.cos(angle), y: (radius - y) * Math.sin(angle), z };
    }),
  );

/**
 * The cuts of a strip: its frame wires and its weaving wire, for a technique that calls them `base` and `weaving`.
 * @param tails at each end of a frame wire and of the weaving wire, mm
 * @param middle what the middle of the strip becomes
 * @param ends what a frame wire becomes beyond the weave, at each end
 * @param run what the frame wire runs under and beside the weave
 */
export function cutsOfStrip(
  { covered, wires, term, frames, weaving }: Strip,
  tails: { readonly frame: number; readonly weaving: number },
  middle = 'middle',
  ends: { readonly name: string; readonly length: number } = { name: '', length: 0 },
  run: { readonly name: string; readonly length: number } = { name: 'under the weave', length: covered },
): readonly [frame: PlannedCut, weaving: PlannedCut] {
  const begin = tails.frame + ends.length;
  return [
    {
      name: 'frame wire',
      wire: 'base',
      count: wires,
      terms: [
        net(run.name, run.length),
        ...(ends.length > 0 ? [net(ends.name, 2 * ends.length)] : []),
        allowance('tails', 2 * tails.frame),
      ],
      marks: [
        { at: begin, what: 'the weave begins' },
        { at: begin + run.length / 2, what: middle },
        { at: begin + covered, what: 'the weave ends' },
      ].sort((a, b) => a.at - b.at),
      drawn: frames.slice(0, 1),
      places: frames.slice(1),
    },
    {
      name: 'weaving wire',
      wire: 'weaving',
      count: 1,
      terms: [term, allowance('tails', 2 * tails.weaving)],
      marks: [{ at: tails.weaving, what: 'begin to weave' }],
      drawn: weaving,
    },
  ];
}

/** How the repeats fall on both halves of a symmetrical piece. */
export function halvesSaid(repeats: number): string {
  const { aSide, middle } = mirrored(repeats);
  return middle
    ? `Mirrored: ${counted(aSide, 'repeat')} on each side of one in the middle.`
    : `Mirrored: ${counted(aSide, 'repeat')} on each side of the middle.`;
}

/** A straight path in steps that are short enough to be bent. */
export function inSteps(path: Path): Path {
  const [from, to] = [path[0], path.at(-1)];
  if (!from || !to) return path;
  return Array.from({ length: 129 }, (_, index) => ({
    ...from,
    x: from.x + ((to.x - from.x) * index) / 128,
  }));
}

/** Three on A, two on A and B together: the classic two-wire weave. */
export const THREE_AND_TWO: Weave = {
  repeat: [
    { kind: 'wrap', first: 0, last: 0, wraps: 3 },
    { kind: 'wrap', first: 0, last: 1, wraps: 2 },
  ],
  close: [],
};
