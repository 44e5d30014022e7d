import { counted } from '../units/counted';
import type { Path } from '../geometry/path';
import { ring, stemWraps } from './formulas';
import { count, drilled, length, roundWire, wire, type WireSize } from './parameter';
import { bow, helix, straight } from './shapes';
import { allowance, net, type OrderRule, type PlannedCut, type PlannedStep, type Term } from './technique';

/** What every way of hanging a briolette asks. */
export const drop = {
  wire: wire('Wire', roundWire(0.405), 'hanging'),
  drilled: drilled(0.8),
  across: length('Width of the drop at its hole', 3, 0.5, 40),
  above: length('From the hole to above the tip', 3.5, 0.5, 40),
  loop: length('Loop, inside', 2.5, 0.5, 30),
  wraps: count('Wraps under the loop', 3, 1, 20),
  tail: length('Handling tail at each end', 15, 0, 100),
};

/** Wire through the drop, two legs that meet above its tip, a stem, and a loop on it. */
function hanging(D: number, across: number, above: number, loop: number, wraps: number) {
  const leg = Math.hypot(across / 2, above);
  const stem = wraps * D;
  const jog = (loop + D) / 2;
  const top = -above - stem;
  return {
    leg,
    stem,
    terms: [
      net('through the hole', across),
      net('two legs to above the tip', 2 * leg),
      net('stem and jog', stem + jog),
      net('loop', ring(loop, D)),
    ],
    drawn: [
      straight(-across / 2, 0, across / 2, 0),
      straight(-across / 2, 0, 0, -above),
      straight(across / 2, 0, 0, -above),
      straight(0, -above, 0, top),
      straight(0, top, jog, top),
      bow(0, top - jog, jog, 0, 2 * Math.PI),
    ],
  };
}

interface Hung {
  readonly wire: WireSize;
  readonly across: number;
  readonly above: number;
  readonly loop: number;
  readonly wraps: number;
  readonly tail: number;
}

/** What a way of hanging a drop adds at the end of its wire. */
interface End {
  readonly terms?: readonly Term[];
  readonly drawn?: readonly Path[];
  /** What is said where the drop sits. */
  readonly sits: string;
  /** Which leg makes the loop: the longer one, or the short one while the longer is coiled. */
  readonly loopOf: 'longer' | 'short';
}

/** The cut that a drop hangs on: the wire through it, its loop, the wraps on its stem, and what is added at its end. */
export function hangingCut(
  { wire: { width: D }, across, above, loop, wraps, tail }: Hung,
  { terms = [], drawn = [], sits, loopOf }: End,
): PlannedCut {
  const hung = hanging(D, across, above, loop, wraps);
  const wrapped = stemWraps(D, wraps);
  // From the left end, which is the short one: what the loop takes lies before the drop or after it.
  const looped = wrapped + ring(loop, D) + hung.stem + (loop + D) / 2;
  const before = tail + (loopOf === 'short' ? looped : 0);
  return {
    name: 'hanging wire',
    wire: 'wire',
    count: 1,
    terms: [
      ...hung.terms,
      net(`${counted(wraps, 'wrap')} on the stem`, wrapped),
      ...terms,
      allowance('handling tails', 2 * tail),
    ],
    marks: [
      ...(loopOf === 'short'
        ? [{ at: tail + wrapped + ring(loop, D), what: 'bend aside for the loop' }]
        : []),
      { at: before + hung.leg + across / 2, what: sits },
      ...(loopOf === 'longer'
        ? [{ at: before + 2 * hung.leg + across + hung.stem, what: 'bend aside for the loop' }]
        : []),
    ],
    drawn: [...hung.drawn, helix(-hung.stem / 2, -above, D, wraps, D), ...drawn],
  };
}

/** How each of them begins. */
export const stepsOf = (loopOf: End['loopOf']): readonly PlannedStep[] => [
  { id: 'thread-drop', name: 'thread the drop to its mark', minutes: 0.5 },
  { id: 'cross', name: 'bring both legs together above the tip', minutes: 1 },
  { id: 'loop', name: `form the loop with the ${loopOf} leg`, minutes: 1.5 },
  { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
];
export const order: readonly OrderRule[] = [
  { first: 'thread-drop', then: 'cross', why: 'the drop cannot be threaded when the legs are joined' },
  { first: 'hang', then: 'wrap', why: 'nothing can be hung in a loop that is wrapped shut' },
];
