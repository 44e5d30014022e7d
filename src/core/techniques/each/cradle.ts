import { counted } from '../../units/counted';
import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { perimeterOf } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Course, Piece, PieceWire, Side } from '../../piece/piece';
import { ok, refuse, type Result } from '../../result';
import { joinActs, type ActUse } from '../../technique/joinActs';
import { cutFromParts } from '../../technique/wireState';
import { cutsOfPiece } from '../../technique/ofPiece';
import { choice, count, initialValues, length, roundWire, stone, wire } from '../../parameter/parameter';
import type { StoneSize } from '../../stone/stoneSize';
import type { WireSize } from '../../wire/wireSize';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { bundleFrame } from './bundleFrame';
import { neckWraps } from './neckWraps';

/** The ids of what the capture is made of, and which of its parts is cut from which wire. */
const [CAPTURE, NECK] = ['capture', 'neck'];
const CUT_FROM: Readonly<Record<string, string>> = {
  'capture.wire': 'wire',
  'capture.binding': 'binding',
  'neck.wire': 'binding',
};
/** Where the ends of the capture reach the frame on each side, from the rearmost to the foremost, degrees from its top. */
const REACH = [32, 57, 82] as const;
/** Room beside things that touch, as a part of their thickness. */
const HAIR = 0.08;
/** The capture is bound over so much at its foot, and stands up so far above it, in thicknesses of its wire; and how often it is bound there. */
const [FOOT, UPRIGHT, NECK_TURNS] = [7.4, 0.5, 3];
/** Both hands cross at the top, and stand together again so far above the stone, in thicknesses. */
const CROSSED = 9.4;
/** Above the neck there is so much air to the frame, in thicknesses of the frame. */
const ABOVE = 1.2;
/** Where the crook of the frame begins and where its other end is bent upright, degrees beside its top. */
const [CROOK_AT, BENT_AT] = [24, 8];
/** Where the front wire lies over the face, on both sides: along its middle and as far as both its ends; parts of the way round from the top. */
const HELD = [0.17, 0.25, 0.33, 0.67, 0.75, 0.83];
/** Where an end that crosses comes to the frame on the other side, degrees from its top, and how often it is wound on each. */
const [CROSSED_TO, CROSSED_TURNS] = [118, 1];
/** Turns of the frame’s end down its own upright. */
const SHUT = 3;

/** An open round of heavy wire, its bail and its crook of its own ends; a stone hung in it in a capture of three thinner wires, whose six ends fasten it. */
export const cradle = technique({
  id: 'cradle',
  title: 'Open cradle with a hung capture',
  group: 'holding a stone',
  source:
    'the frame is a circle clearly larger than its stone; the capture is a bundle frame, its ends wound round the frame and curled, measured as they lie',
  parameters: {
    stone: stone('Stone', { outline: 'round', length: 30, width: 30, depth: 8, edge: 4 }),
    cradle: wire('Frame wire', roundWire(1.628), 'heavy frame'),
    gap: length('The frame stands off the stone by', 14, 8, 60),
    mandrel: length('Bail, over a mandrel of', 6, 2, 25),
    crook: length('Crook loop at its other end, inside', 3, 1, 20),
    cradleTail: length('Handling tail at each end of the frame wire', 15, 0, 150),
    wire: wire('Capture wire', roundWire(0.812), 'frame'),
    binding: wire('Binding wire', { profile: 'half-round', width: 1, height: 0.5 }, 'bundle binding'),
    reach: length('Each hold reaches in by', 1.2, 0, 10),
    turns: count('Turns of each end round the frame', 5, 1, 12),
    crossing: choice(
      'The front ends',
      ['stay on their sides', 'cross, one over the face and one behind the back'],
      'stay on their sides',
    ),
    curl: length('Curl of each front and middle end, outside', 6, 3, 30),
    tail: length('Handling tail at each end of a capture wire', 25, 0, 200),
  },
  plan: ({
    stone: held,
    cradle: heavy,
    gap,
    mandrel,
    crook,
    cradleTail,
    wire: thin,
    binding,
    reach,
    turns,
    crossing,
    curl,
    tail,
  }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const [D, d] = [bendOf(heavy).thick, bendOf(thin).thick];
    const rolled = (curl - 3 * d) / (2 * d * (1 + HAIR));
    if (rolled < 0.5)
      return refuse(`A curl of ${said(d)} wire is ${said(4.1 * d)} across at least; ${said(curl)} is less.`);
    const capture = captureOf({ held, thin, binding, reach, tail });
    if (!capture.ok) return capture;
    const { piece, ends, top } = capture.value;
    const level = held.edge / 2;
    // The frame is a round about the middle of the stone that the neck of the capture hangs in.
    const inside = Math.max(held.length, held.width) / 2 + gap;
    const least = -top + ABOVE * D;
    if (inside < least)
      return refuse(
        `The neck of the capture reaches ${said(-top)} from the middle of the stone; a frame that stands off by ${said(gap - inside + least)} holds it.`,
      );
    const R = inside + D / 2;
    const round = (radius: number, degrees: number): Pose => {
      const angle = (degrees * Math.PI) / 180;
      const [s, c] = [Math.sin(angle), Math.cos(angle)];
      return pose(vec3(radius * s, -radius * c, level), vec3(c, s));
    };
    const upright = (SHUT + 2) * D;
    const frame: PieceWire = {
      id: 'frame',
      name: 'frame wire',
      cutFrom: 'cradle',
      size: heavy,
      start: round(R, CROOK_AT),
      first: [
        {
          kind: 'coiled',
          name: 'open round',
          about: 2 * inside,
          turns: (360 - CROOK_AT - BENT_AT) / 360,
          pitch: 0,
        },
        {
          kind: 'led',
          name: 'bent upright for the bail',
          id: 'upright',
          to: pose(vec3(0, -R - 2.5 * D, level), vec3(0, -1)),
        },
        { kind: 'laid', name: 'bail', id: 'neck', length: upright },
        { kind: 'bent', name: 'bail', about: mandrel, angle: 180, roll: 90 },
        { kind: 'laid', name: 'bail', length: D },
        {
          kind: 'wound',
          name: `${counted(SHUT, 'turn')} down its own frame`,
          on: [{ wire: 'frame', from: { side: 'first', endOf: 'neck', on: -D }, towards: 'second' }],
          groups: [{ kind: 'wrap', first: 0, last: 0, wraps: SHUT }],
          begins: 'back',
        },
      ],
      second: [{ kind: 'coiled', name: 'crook loop', about: crook, turns: 1, pitch: D }],
      tails: { first: cradleTail, second: cradleTail },
    };
    /** Round the frame, on from so far beside its top, to the left or right; from inside of it over its front or behind it first. */
    const onFrame = (way: 1 | -1, degrees: number, isOver: boolean, count: number, isOpen: boolean) => ({
      kind: 'wound' as const,
      name: `${counted(count, 'turn')} round the frame`,
      on: [
        {
          wire: 'frame',
          from: 2 * Math.PI * R * (((way * degrees - CROOK_AT + 360) % 360) / 360),
          towards: way === 1 ? ('first' as const) : ('second' as const),
        },
      ],
      groups: [{ kind: 'wrap' as const, first: 0, last: 0, wraps: count + 2 }],
      begins: (way === 1) === isOver ? ('back' as const) : ('front' as const),
      skips: way === 1 ? 1 : 0,
      halves: 2 * count + (isOpen ? 1 : 0),
    });
    /** What an end of the capture does: out to the frame, over it and round it, and curled away; the rearmost are tucked. */
    const fastened = (side: Side, index: number): readonly Course[] => {
      // The hand that went left round the stone stands on the right.
      const way = side === 'first' ? 1 : -1;
      const degrees = REACH[2 - index] as number;
      const isCurled = index < 2;
      // The right one goes over the face, the left one behind the back.
      const isCrossed = index === 0 && crossing !== 'stay on their sides';
      const isOver = way === 1;
      const curledAt = (beside: 1 | -1, last: number, count: number): readonly Course[] => {
        const beyond = last + (((count + 2.5) * d) / R) * (180 / Math.PI);
        const outer = round(inside + D + (d / 2) * (1 + 2 * HAIR), beside * beyond);
        const to = beside === 1 ? outer : pose(outer.at, vec3(-outer.along.x, -outer.along.y));
        return [
          { kind: 'led', name: 'curl', to },
          { kind: 'curled', name: 'curl', inside: d, turns: -beside * rolled, pitch: d * (1 + HAIR) },
        ];
      };
      const across = isOver ? 'across the face' : 'behind the back';
      const face = isOver ? 'front' : 'back';
      const other = way === 1 ? -1 : 1;
      const crossed: readonly Course[] = [
        {
          ...onFrame(other, CROSSED_TO, isOver, CROSSED_TURNS, true),
          across: { body: `${CAPTURE}.stone`, face, name: across, over: d * (1 + HAIR) },
        },
        ...curledAt(other, CROSSED_TO, CROSSED_TURNS),
      ];
      return [
        { kind: 'laid', name: 'out to the frame', length: 1.5 * bendOf(binding).pitch },
        {
          ...onFrame(way, degrees, true, isCrossed ? CROSSED_TURNS : turns, isCurled && !isCrossed),
          taut: 'out to the frame',
        },
        ...(isCrossed ? crossed : isCurled ? curledAt(way, degrees, turns) : []),
      ];
    };
    const wires = piece.wires.map((each): PieceWire => {
      const index = ends.indexOf(each.id);
      const cutFrom = CUT_FROM[each.cutFrom] ?? cutFromParts(each.cutFrom).parameter;
      if (index < 0) return { ...each, cutFrom };
      const hand = (side: Side) => [...each[side], ...fastened(side, index)];
      return {
        ...each,
        name: `capture wire ${index + 1}`,
        cutFrom,
        first: hand('first'),
        second: hand('second'),
      };
    });
    const whole: Piece = { bodies: piece.bodies, wires: [frame, ...wires] };
    const cut = cutsOfPiece(whole, {
      middle: Object.fromEntries([
        ['frame', 'the open round begins'],
        ...ends.map((id) => [id, 'middle: the foot of the stone'] as const),
      ]),
    });
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'cradle',
          makes: ['open round', 'bent upright for the bail', 'crook loop'],
          name: 'turn the crook, bend the open round clearly larger than the stone, and bend it upright for the bail',
          minutes: 8,
          cautions: ['gripping'],
        },
        {
          id: 'bail',
          makes: ['bail'],
          name: 'fold the bail over a mandrel and wind it down its own frame, the end pressed in',
          minutes: 4,
        },
        {
          id: 'capture',
          makes: ['round the stone', 'binding wire'],
          name: 'bind the three wires in their middle and form them tightly round the stone',
          minutes: 6,
        },
        { id: 'try', makes: ['stone'], name: 'try the stone', minutes: 1 },
        {
          id: 'neck',
          makes: ['crossed at the top', 'upright', 'through the neck'],
          name: 'cross both hands at the top, bend them upright as two rows of three and bind them',
          minutes: 5,
        },
        {
          id: 'holds',
          name: 'bend the rear wire in as a platform and the front wire over the face on both sides',
          minutes: 5,
          cautions: ['piercing'],
        },
        {
          id: 'hang',
          makes: ['out to the frame', 'round the frame'],
          name: 'hang it in the frame: the rear ends over it and round it first, then every end by itself',
          minutes: 6 * turns * 0.5,
        },
        ...(crossing === 'stay on their sides'
          ? []
          : [
              {
                id: 'cross',
                makes: ['across the face', 'behind the back'],
                name: 'lead the right front end over the face and the left one behind the back, one at a time, and wind each on the other side',
                minutes: 4,
              },
            ]),
        {
          id: 'curl',
          makes: ['curl'],
          name: 'curl the front and middle ends, and tuck the rear ones behind the frame',
          minutes: 8,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'try', then: 'neck', why: 'a capture that is closed cannot be formed any more' },
        { first: 'neck', then: 'hang', why: 'its ends fasten it only when they stand together' },
        { first: 'bail', then: 'hang', why: 'the frame is not bent any more when something is hung in it' },
      ],
      holds: HELD.map((part) => ({ along: part * perimeterOf(outline.value), reach })),
      notes: [
        `The frame is ${said(2 * inside)} across inside, ${said(gap)} more than the stone on each side.`,
      ],
    });
  },
});

/** The stone in its three wires, bound at the foot and at the neck, and how high the ends of these stand. */
function captureOf({
  held,
  thin,
  binding,
  reach,
  tail,
}: {
  readonly held: StoneSize;
  readonly thin: WireSize;
  readonly binding: WireSize;
  readonly reach: number;
  readonly tail: number;
}): Result<{ readonly piece: Piece; readonly ends: readonly string[]; readonly top: number }> {
  const wound = NECK_TURNS * bendOf(binding).pitch;
  const uses: readonly ActUse[] = [
    {
      id: CAPTURE,
      name: bundleFrame.title,
      technique: bundleFrame as never,
      values: {
        ...initialValues(bundleFrame.parameters),
        stone: held,
        wire: thin,
        wires: 3,
        binding,
        bound: FOOT * thin.width,
        bail: UPRIGHT * thin.width,
        meet: 'cross',
        holds: 2,
        reach,
        tail,
      },
      takes: {},
    },
    {
      id: NECK,
      name: neckWraps.title,
      technique: neckWraps as never,
      values: { ...initialValues(neckWraps.parameters), wire: binding, turns: NECK_TURNS, tail: 8 },
      takes: {
        bundle: ['left', 'right'].flatMap((side) => [1, 2, 3].map((index) => `${CAPTURE}.${side} ${index}`)),
      },
    },
  ];
  const joined = joinActs(uses);
  for (const { act } of joined.uses) if (!act.ok) return act;
  const [made] = joined.pieces;
  if (!made) return refuse('The capture cannot be made.');
  const ends = [1, 2, 3].map((index) => `${CAPTURE}.frame ${index}`);
  return ok({
    piece: made.piece,
    ends,
    top: -(Math.max(held.length, held.width) / 2 + bendOf(thin).thick * (CROSSED + UPRIGHT) + wound),
  });
}
