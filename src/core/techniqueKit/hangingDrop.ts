import { counted } from '../units/counted';
import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import type { Course, Piece, Point, Side } from '../piece/piece';
import { ok, refuse, type Result } from '../result';
import { cutsOfPiece, type CutPiece } from '../technique/ofPiece';
import { count, drilled, length, roundWire, wire, type ValuesOf } from '../parameter/parameter';
import { said, type PlannedStep } from '../technique/technique';
import type { OrderRule } from '../judgement/order';

/** What every way of hanging a briolette asks. */
export const drop = {
  wire: wire('Wire', roundWire(0.405), 'hanging'),
  drilled: drilled(0.8),
  long: length('Length of the drop', 11, 3, 80),
  wide: length('Width of the drop', 8, 2, 60),
  across: length('Width of the drop at its hole', 3, 0.5, 40),
  above: length('From the hole to above the tip', 3.5, 0.5, 40),
  loop: length('Loop, inside', 2.5, 0.5, 30),
  wraps: count('Wraps under the loop', 3, 1, 20),
  tail: length('Handling tail at each end', 15, 0, 100),
};
export type Hung = ValuesOf<typeof drop>;

/** How a drop lies at its hole, and its wire on it; mm and radians. */
export interface DropShape {
  readonly body: Point;
  /** From its hole up to its tip. */
  readonly toTip: number;
  /** How far its flank leans in from upright. */
  readonly lean: number;
  /** How long each leg lies along it. */
  readonly flank: number;
  /** How far above the hole both legs stand upright beside each other. */
  readonly meets: number;
}

/** The drop, its hole at the middle of the paper, its tip up. @returns a sentence when it cannot be as it is told */
export function dropOf({
  long,
  wide,
  across,
  above,
  drilled: hole,
  wire: { width: D },
}: Hung): Result<DropShape> {
  const round = wide / 2;
  const slope = long - round;
  if (slope <= 0)
    return refuse(`A drop is longer than it is wide at its foot; ${said(long)} is not, of ${said(wide)}.`);
  if (across >= wide) return refuse(`A drop of ${said(wide)} is less than ${said(across)} wide at its hole.`);
  const toTip = (across / wide) * slope;
  const lean = Math.atan2(round, slope);
  // Out of the hole and over the tip it is bent about nothing: its centre line turns on half its thickness.
  const [sharp, sine, cosine] = [D / 2, Math.sin(lean), Math.cos(lean)];
  const flank = Math.max(0, across / 2 + sharp * (2 * cosine - 2)) / sine;
  const meets = sharp * (1 + 2 * sine) + flank * cosine;
  const least = Math.max(meets - D, toTip);
  if (above < least)
    return refuse(
      `The legs of this drop meet ${said(least)} above its hole, over its tip; ${said(above)} is less.`,
    );
  return ok({
    body: {
      kind: 'point',
      id: 'drop',
      length: long,
      width: wide,
      tapers: [slope, round],
      isDrop: true,
      drilled: { at: toTip, hole },
      pose: pose(vec3(0, -toTip), vec3(0, 1)),
    },
    toTip,
    lean,
    flank,
    meets,
  });
}

/** What a number of wraps is called. */
export const wrapsOf = (wraps: number, where: string): string => `${counted(wraps, 'wrap')} ${where}`;

const LEGS = 'two legs to above the tip';

/** Out of the hole on one side, up along the flank, and over the tip, where both hands stand upright beside each other. */
export function legOf(
  { across, above, wire: { width: D } }: Hung,
  { lean, flank, meets }: DropShape,
  side: Side,
): readonly Course[] {
  const way = side === 'first' ? 1 : -1;
  const leaning = (lean * 180) / Math.PI;
  return [
    { kind: 'laid', name: 'through the hole', length: across / 2 },
    { kind: 'bent', name: LEGS, about: 0, angle: -way * (90 + leaning) },
    { kind: 'laid', name: LEGS, length: flank },
    { kind: 'bent', name: LEGS, about: 0, angle: way * leaning },
    { kind: 'laid', name: LEGS, id: 'leg', length: above + D - meets },
  ];
}

/** The hand that makes the loop: up to above the tip, a stem, once round a mandrel over it; and what its end does. */
export const loopedHand = (
  told: Hung,
  shape: DropShape,
  stem: number,
  end: readonly Course[],
): readonly Course[] => {
  const {
    loop,
    wire: { width: D },
  } = told;
  return [
    ...legOf(told, shape, 'first'),
    { kind: 'laid', name: 'stem', length: stem },
    { kind: 'bent', name: 'loop', about: 0, angle: 90 },
    { kind: 'coiled', name: 'loop', id: 'turned', about: loop, turns: -1, pitch: D },
    ...end,
  ];
};

/** Wraps under the loop by the end that made it, down the bare stem. */
export const underLoop = ({ wraps, wire: { width: D } }: Hung): Course => ({
  kind: 'wound',
  name: wrapsOf(wraps, 'under the loop'),
  on: [{ wire: 'wire', from: { side: 'first', endOf: 'stem', on: -D }, towards: 'second' }],
  groups: [{ kind: 'wrap', first: 0, last: 0, wraps }],
  begins: 'back',
});

/** How thick a stem is with wraps on it, in thicknesses of the wire. */
const WRAPPED = 3;

/**
 * Turns about the stem, beginning beside it on one side: to the right of it towards the back, to the left of it towards the front.
 * @param y where they begin
 */
function aboutStem(
  name: string,
  { wire: { width: D } }: Hung,
  {
    turns,
    y,
    about,
    from,
    climbs,
  }: {
    readonly turns: number;
    readonly y: number;
    readonly about: number;
    readonly from: 'left' | 'right';
    readonly climbs: 'up' | 'down';
  },
): readonly Course[] {
  const side = from === 'right' ? 1 : -1;
  const up = climbs === 'up' ? -1 : 1;
  const off = (about + D) / 2;
  // It sets out on the slope that its turns have.
  const slope = (up * D) / (2 * Math.PI * off);
  return [
    { kind: 'led', name, to: pose(vec3(D / 2 + side * off, y), vec3(0, slope, -side), vec3(0, up)) },
    { kind: 'coiled', name, about, turns: up * turns, pitch: D },
  ];
}

/** Turns over the wraps of a stem, beginning on its right. @param y where they begin */
export const overWraps = (
  name: string,
  told: Hung,
  turns: number,
  y: number,
  climbs: 'up' | 'down',
): readonly Course[] =>
  aboutStem(name, told, { turns, y, about: WRAPPED * told.wire.width, from: 'right', climbs });

/** Turns on the bare stem, going up it. @param y where they begin */
export const onStem = (
  name: string,
  told: Hung,
  turns: number,
  y: number,
  from: 'left' | 'right',
): readonly Course[] => aboutStem(name, told, { turns, y, about: told.wire.width, from, climbs: 'up' });

/** A drop on its wire, run and cut. @param from the hand from whose end it is measured */
export const hungPiece = (
  hung: Hung,
  { body }: DropShape,
  hands: Readonly<Record<Side, readonly Course[]>>,
  { sits, from }: { readonly sits: string; readonly from: Side },
): Result<CutPiece> => {
  const piece: Piece = {
    bodies: [body],
    wires: [
      {
        id: 'wire',
        name: 'hanging wire',
        cutFrom: 'wire',
        size: hung.wire,
        start: pose(vec3(0, 0), vec3(1, 0)),
        ...hands,
        tails: { first: hung.tail, second: hung.tail },
      },
    ],
  };
  return cutsOfPiece(piece, {
    middle: sits,
    measuredFrom: from,
    marked: [{ wire: 'wire', side: 'first', at: 'loop', what: 'bend aside for the loop' }],
  });
};

/** How each of them begins. */
export const stepsOf = (loopOf: 'longer' | 'short'): readonly PlannedStep[] => [
  { id: 'thread-drop', makes: ['through the hole'], name: 'thread the drop to its mark', minutes: 0.5 },
  {
    id: 'cross',
    makes: ['two legs to above the tip'],
    name: 'bring both legs together above the tip',
    minutes: 1,
  },
  { id: 'loop', makes: ['stem'], name: `form the loop with the ${loopOf} leg`, minutes: 1.5 },
  { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
];
export const order: readonly OrderRule[] = [
  { first: 'thread-drop', then: 'cross', why: 'the drop cannot be threaded when the legs are joined' },
  { first: 'hang', then: 'wrap', why: 'nothing can be hung in a loop that is wrapped shut' },
];
