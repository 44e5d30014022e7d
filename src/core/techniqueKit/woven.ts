import { counted } from '../units/counted';
import { ok, refuse, type Result } from '../result';
import { mirrored, repeatsFor, repeatsWithin, weaveNeed, wireFor } from '../weave/consume';
import { printWeave, wiresOf, type Weave, type WeaveGroup } from '../weave/notation';
import type { WireSize } from '../wire/wireSize';
import { net, type Term } from '../technique/technique';

/** Repeats beyond this are drawn by nobody and read by nobody. */
const MOST_REPEATS = 1000;

/** A strip of weave, mm: its whole repeats, and what they cover. */
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

/** How far a weave goes: over a length, mm, until that is covered; within a length, as far as whole repeats go; or so many repeats. */
export type Far = number | { readonly within: number } | { readonly repeats: number };

/**
 * Weaves over frame wires.
 * @returns a sentence when the weave never gets there
 */
export function stripOf(woven: Weave, base: WireSize, weaving: WireSize, far: Far): Result<Strip> {
  const wires = {
    base: base.width,
    profile: base.profile === 'square' ? ('square' as const) : ('round' as const),
    weaving: weaving.width,
  };
  const need = weaveNeed(woven, wires);
  if (need.advance <= 0)
    return refuse('This weave does not move on along the frame; give it a wrap, like A3 AB2.');
  const repeats =
    typeof far === 'number'
      ? repeatsFor(need, far)
      : 'within' in far
        ? repeatsWithin(need, far.within)
        : far.repeats;
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
  });
}

/** How the repeats fall on both halves of a symmetrical piece. */
export function halvesSaid(repeats: number): string {
  const { aSide, middle } = mirrored(repeats);
  return middle
    ? `Mirrored: ${counted(aSide, 'repeat')} on each side of one in the middle.`
    : `Mirrored: ${counted(aSide, 'repeat')} on each side of the middle.`;
}

/** Three on A, two on A and B together: the classic two-wire weave. */
export const THREE_AND_TWO: Weave = {
  repeat: [
    { kind: 'wrap', first: 0, last: 0, wraps: 3 },
    { kind: 'wrap', first: 0, last: 1, wraps: 2 },
  ],
  close: [],
};

/** Where wraps more are laid among others, these stand so much farther apart. */
const ROOMY = 1.03;

/** How many turns a group has on wire A; a figure-eight covers its outer wire as far as two turns do. */
export const turnsOnA = (group: WeaveGroup): number =>
  group.kind === 'pass' || group.first > 0 ? 0 : (group.kind === 'eight' ? 2 : 1) * group.wraps;

/** In the room of how many turns a group is laid. */
export const roomOf = (group: WeaveGroup): number => {
  if (group.kind === 'pass') return 0;
  return group.kind === 'eight' ? 2 * group.wraps : (group.fits ?? group.wraps);
};

const isOnAAlone = (group: WeaveGroup): group is WeaveGroup & { readonly kind: 'wrap' } =>
  group.kind === 'wrap' && group.first === 0 && group.last === 0;

/**
 * Groups with wraps more on A among them. Those on A alone take them up and share the room that they would have had without: outside of a curve
 * there is more of it. Where there are none, each stands by itself.
 * @param after which turns on A a wrap more is laid, counted from 1
 */
export function withExtra(groups: readonly WeaveGroup[], after: readonly number[]): readonly WeaveGroup[] {
  const alone = groups.filter(isOnAAlone).reduce((sum, { wraps }) => sum + wraps, 0);
  const room = (ROOMY * alone) / (alone + after.length);
  const last = groups.findLastIndex(isOnAAlone);
  let [onA, laid] = [0, 0];
  return groups.flatMap((group, index): WeaveGroup[] => {
    onA += turnsOnA(group);
    const due = (index === last ? after.length : after.filter((each) => each <= onA).length) - laid;
    if (alone === 0) {
      laid += due;
      return due > 0 ? [group, { kind: 'wrap', first: 0, last: 0, wraps: due }] : [group];
    }
    if (!isOnAAlone(group)) return [group];
    laid += due;
    return [{ ...group, wraps: group.wraps + due, fits: (group.wraps + due) * room }];
  });
}
