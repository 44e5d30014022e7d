import { inPose, pose, type Pose } from '../../geometry/pose';
import { minus3, vec3 } from '../../geometry/vec3';
import { plus, scaled, unit, vec, type Vec } from '../../geometry/vector';
import { alongAtAngle, parallelOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Along, Cab, Course, PieceWire, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { laidOn, lyingOn, roundedLine } from '../../techniqueKit/onFace';
import { count, length, roundWire, stone, wire } from '../../parameter/parameter';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { minutesToWeave, stripOf } from '../../techniqueKit/woven';

/** Figure-eights over two wires. */
const EIGHTS = { repeat: [{ kind: 'eight', first: 0, wraps: 1 }], close: [] } as const;
/** Bent inward, turns of a weave stand so much farther apart than they are thick. */
const LOOSE = 1.2;
/** A stone is so wide at least, in thicknesses of the ring wires: its ends are bent about its tip. */
const LEAST = 11.8;
/** Loops are no wider than this part of the stone. */
const LARGEST = 0.22;
/** Room beside things that touch, as a part of their thickness. */
const HAIR = 0.06;
/** On each side of the stone the gap is so much wider, in thicknesses. */
const GAP = 1.2;
/** A stone is no wider than this part of the ring. */
const WIDEST = 0.85;

/** Where a lower wire comes to lie beside the stone, and where it leaves it beside the tip, degrees from the tip. */
const [FROM, TIP] = [72, 26];
/** Where an upper one lies outside of it. */
const [OUTER_FROM, OUTER_TO] = [78, 40];
/** How far a lower wire turns away from the tip, degrees, and how wide: as a part of how wide the stone is, and in thicknesses at least. */
const LOBE = { turns: 215, wide: 0.45, least: 5.6 } as const;
/** How far on in that an upper one goes round it, in thicknesses, and how often. */
const ONCE = { at: 2.5, turns: 1.5 } as const;
/** Where the upper wires come beside one another on the face, from the tip, as a part of the length of the stone. */
const INTO = 0.16;
/** Where they leave the face again, degrees from the tip, and how far out they go, in thicknesses. */
const AWAY = { at: 146, out: 0.6 } as const;
/** Before they go through the band they have come down so far, in thicknesses. */
const DOWN = { out: 0.3, in: 0.3, high: -0.7 } as const;
/** An end goes through beside the parted wires, and then outward and by; in thicknesses. */
const BESIDE = { clear: 1.05, out: 1.7, by: 0.6, up: 0.2 } as const;
/** How far in from the edge of the stone lower and upper ends go through, in thicknesses. */
const IN = { lower: 0.85, upper: 0.5 } as const;
/** So far under the stone lower ends go through, in thicknesses. */
const UNDER = 0.68;
/** So much longer the lower ones are straight before they go through, in thicknesses. */
const STRAIGHT = 1.5;
/** How far the loops are closed, degrees. */
const CLOSED = 290;
/** Turns of the thin wire openly up a lower wire, and about the wires that it joins. */
const [OPENLY, JOINED] = [4.5, 1.5];
/** Where the thin wire comes up beside the parted wires, in thicknesses of those: out from the edge of the stone, and over its back. */
const UP = { out: 0.9, high: -1.65 } as const;
/** Where it has left the band, as a part of the gap. */
const LEAVES = 0.85;
/** So far before the edges of the gap the thin wire lies against the finger, in thicknesses of the ring wires, and points to that. */
const [SHORT, ARC] = [1.1, 24];

const THROUGH = 'down through the band';

/** A band of two wires in figure-eights that part round a stone; their ends lie beside its tip, cross its face and go down through the band. */
export const figureEightRing = technique({
  id: 'figure-eight-ring',
  title: 'Figure-eight band that parts round a stone',
  group: 'rings',
  source:
    'crossed belts over two wires, as far as whole ones go round less the gap; ends round the stone and over its face, measured as they lie',
  parameters: {
    stone: stone('Stone', { outline: 'teardrop', length: 14, width: 10, depth: 4, edge: 1.6 }),
    wire: wire('Ring wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.405), 'weaving'),
    inside: insideWanted,
    heart: count('Figure-eights over the tip', 3, 1, 12),
    loop: length('Loops of the ends, inside', 2.1, 1, 8),
    tail: length('Tail at each end of a ring wire', 15, 0, 100),
    weavingTail: length('Tail at each end of the weaving wire', 50, 0, 250),
  },
  plan: ({ stone: held, wire: size, weaving, inside, heart, loop, tail, weavingTail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    if (held.outline !== 'teardrop')
      return refuse(
        `This band holds a teardrop, by its tip and its broad end; ${held.outline}, ${said(held.length)} by ${said(held.width)}, is given.`,
      );
    const { thick: D } = bendOf(size);
    if (held.width < LEAST * D)
      return refuse(
        `Wire of ${said(D)} is too thick for the ends round a stone of ${said(held.width)}; ${said(held.width / LEAST)} is the most.`,
      );
    if (loop > LARGEST * held.width)
      return refuse(
        `Loops of ${said(loop)} do not fit beside a stone of ${said(held.width)}; ${said(LARGEST * held.width)} is the most.`,
      );
    const one = stripOf(EIGHTS, size, weaving, 1);
    if (!one.ok) return one;
    const { step, across, advance } = one.value;
    const { thick: d, pitch } = bendOf(weaving);
    const { begun, note } = ringStart('figure-eight-ring', inside, across);
    // The weaving wire lies between the finger and the ring wires.
    const lined = begun.diameter + 2 * d;
    const R = (lined + D) / 2;
    const gap = held.width / 2 + GAP * D;
    if (gap > WIDEST * R)
      return refuse(
        `A stone of ${said(held.width)} is too wide for this ring; ${said(2 * (WIDEST * R - GAP * D))} is the most.`,
      );
    const half = Math.asin(gap / R);
    // Wraps touch one another where their middles lie inside of the wires; each half leaves room for the other.
    const round = (R - (D + d) / 2) * 2 * (Math.PI - half);
    const eights = Math.max(1, Math.floor((round - D) / (2 * LOOSE * advance)));
    const loose = (round - D) / (2 * eights * advance);
    const heartLong = heart * LOOSE * advance;
    if (heartLong > held.length / 3)
      return refuse(
        `${counted(heart, 'figure-eight')} are ${said(heartLong)} long; on a stone of ${said(held.length)} there is room for ${said(held.length / 3)}.`,
      );

    const sideAt = (off: number, degrees: number) => {
      const line = parallelOf(outline.value, off);
      return placeAt(line, alongAtAngle(line, degrees));
    };
    const tip = sideAt(0, 0).point;
    const edgeAt = sideAt(0, FROM).point.x;
    // Between finger and stone a strand of thin wire lies across, over that the upper ends go through, and over those the lower ones.
    const inner = (lined + d) / 2;
    const throughAt = edgeAt - IN.upper * D;
    const lies = Math.sqrt(Math.max(0, (inner + ((d + D) / 2) * (1 + HAIR)) ** 2 - throughAt ** 2));
    const foot = Math.max(R + D / 2 + d * (1 + 2 * HAIR), lies + (1.06 + UNDER) * D);
    const high = { lower: -UNDER * D, upper: lies - foot } as const;
    const cab: Cab = {
      kind: 'cab',
      id: 'stone',
      size: held,
      // Its tip towards the eye, its middle over the band.
      pose: pose(vec3(0, -foot), vec3(-1, 0), vec3(0, -1)),
    };
    const stands = held.edge / 2;
    // Thin wire is wound between the lower wires and the stone, and between them and the upper ones.
    const play = d * (1 + HAIR);
    const outer = 2 * play + D;
    const liesAt = lyingOn({ ...cab, pose: pose(vec3(0, 0), vec3(1, 0)) }, D / 2 + play, stands);

    /** Places and poses about the stone on the side of a hand, told on its right as it lies on the paper, its tip up. */
    const headOf = (side: Side) => {
      const way = side === 'first' ? 1 : -1;
      const at = ({ x, y }: Vec, high: number) => inPose(cab.pose, way * x, y, high);
      const lying = (place: Vec, high: number, along: Vec, climbs = 0): Pose =>
        pose(at(place, high), minus3(at(plus(place, along), high + climbs), at(place, high)), cab.pose.up);
      const beside = (off: number, degrees: number): Pose => {
        const { point, direction } = sideAt(off, degrees);
        return lying(point, stands, scaled(direction, -1));
      };
      return { way, at, lying, beside };
    };
    const handOf = (side: Side, which: 'lower' | 'upper'): readonly Course[] => {
      const { way, at, lying, beside } = headOf(side);
      const isLower = which === 'lower';
      const turned = (degrees: number): number => (way > 0 ? degrees : 360 - degrees);
      const parted: readonly Course[] = [
        {
          kind: 'coiled',
          name: 'round the finger at the starting size',
          id: 'round',
          about: lined,
          turns: (way * (Math.PI - half)) / (2 * Math.PI),
          pitch: 0,
        },
        {
          kind: 'led',
          name: 'up beside the stone',
          id: 'up',
          to: isLower ? beside(D / 2 + play, FROM) : beside(D / 2 + outer, OUTER_FROM),
        },
        {
          kind: 'round',
          name: isLower ? 'beside the tip' : 'outside of the lower one',
          id: 'beside',
          body: 'stone',
          from: turned(isLower ? FROM : OUTER_FROM),
          to: turned(isLower ? TIP : OUTER_TO),
          play: isLower ? play : outer,
          height: stands,
        },
      ];
      /** Under the stone between both wires where they part, and out as a loop on the other side: the lower one’s towards the broad end. */
      const to = isLower ? 1 : -1;
      const through = vec(edgeAt - IN[which] * D, to * (step / 2 + BESIDE.clear * D));
      const from = (isLower ? STRAIGHT : 0) * D;
      const closed: readonly Course[] = [
        {
          kind: 'led',
          name: THROUGH,
          to: lying(vec(through.x, -through.y - to * from), high[which], vec(0, to)),
        },
        { kind: 'laid', name: THROUGH, length: from + 2 * Math.abs(through.y) },
        {
          kind: 'led',
          name: THROUGH,
          to: lying(
            plus(through, vec(BESIDE.out * D, to * BESIDE.by * D)),
            high[which] + BESIDE.up * D,
            vec(1, 0),
          ),
        },
        { kind: 'bent', name: 'loop, pointing at the stone', about: loop, angle: way * to * CLOSED },
      ];
      const about = Math.max(LOBE.wide * held.width, LOBE.least * D);
      if (isLower)
        return [
          ...parted,
          { kind: 'bent', name: 'round, away from the tip', about, angle: way * LOBE.turns },
          ...closed,
        ];
      const face = (name: string, id: string, corners: readonly Vec[]): Course => ({
        kind: 'free',
        name,
        id,
        line: laidOn(roundedLine(corners, 2 * D, D / 2), liesAt).map((point) => at(point, point.z)),
        up: cab.pose.up,
      });
      const into = vec(step / 2, tip.y + INTO * held.length);
      const away = sideAt(D, AWAY.at).point;
      return [
        ...parted,
        {
          kind: 'bound',
          name: 'once round the lower one',
          on: [
            {
              wire: 'lower',
              from: { side, endOf: 'beside', on: ONCE.at * D },
              towards: side,
            },
          ],
          turns: -way * ONCE.turns,
          long: ONCE.turns * D * (1 + HAIR),
        },
        face('in over the tip', 'into', [vec(step / 2, tip.y - D), into]),
        face('side by side, and apart again', 'apart', [
          into,
          plus(into, vec(0, heartLong)),
          away,
          plus(away, scaled(unit(away), AWAY.out * D)),
        ]),
        {
          kind: 'led',
          name: THROUGH,
          to: lying(plus(away, vec(DOWN.out * D, -DOWN.in * D)), DOWN.high * D, vec(0, -0.6), -1),
        },
        ...closed,
      ];
    };
    const wires = (['lower', 'upper'] as const).map((which): PieceWire => ({
      id: which,
      name: `${which} ring wire`,
      cutFrom: 'wire',
      size,
      // From the back of the hand, clockwise to the left edge of the gap.
      start: pose(vec3(0, R, (which === 'lower' ? step : -step) / 2), vec3(-1, 0)),
      first: handOf('first', which),
      second: handOf('second', which),
      tails: { first: tail, second: tail },
    }));
    const onBoth = (on: number, towards: Side): readonly Along[] =>
      wires.map(({ id }): Along => ({ wire: id, from: { side: 'second', endOf: 'round', on }, towards }));
    /** One half of the thin wire, and the other beside it. */
    const eightsFrom = (on: number, fewer = 0): Course => ({
      kind: 'wound',
      name: counted(2 * eights, 'figure-eight'),
      on: onBoth(on, 'first'),
      groups: [{ kind: 'eight', first: 0, wraps: eights }],
      ...(fewer > 0 ? { halves: 4 * eights - fewer } : {}),
      pitch: 2 * loose * pitch,
    });
    const { lying } = headOf('first');
    const along = sideAt(D / 2, FROM).along - sideAt(D / 2, TIP).along;
    /** Where the thin wire leaves the band, outside of it. */
    const leaves = pose(
      vec3(
        -(R + 0.55 * (D + d)) * Math.sin(half * LEAVES),
        -(R + 0.55 * (D + d)) * Math.cos(half * LEAVES),
        (across + d) / 2 + d * HAIR,
      ),
      vec3(Math.cos(half), -Math.sin(half)),
    );
    const thread: PieceWire = {
      id: 'weaving',
      name: 'weaving wire',
      cutFrom: 'weaving',
      size: weaving,
      first: [
        eightsFrom(-D / 2 - loose * pitch, 1),
        { kind: 'led', name: OPEN, to: leaves },
        {
          kind: 'led',
          name: OPEN,
          to: lying(vec(edgeAt + UP.out * D, -(step + D + d * (1 + HAIR)) / 2), UP.high * D, vec(0, 0), 1),
        },
        {
          kind: 'bound',
          name: OPEN,
          on: [{ wire: 'lower', from: { side: 'first', endOf: 'up', on: 2 * d }, towards: 'first' }],
          begin: 180,
          turns: -OPENLY,
          long: along - 3 * d,
        },
        {
          kind: 'wound',
          name: `${counted(heart, 'figure-eight')} over the tip: a heart`,
          across: { body: 'stone', face: 'front', name: 'over the edge of the stone' },
          on: (['first', 'second'] as const).map((side): Along => ({
            wire: 'upper',
            from: { side, endOf: 'into' },
            towards: side,
          })),
          groups: [{ kind: 'eight', first: 0, wraps: heart }],
          pitch: LOOSE * pitch,
        },
      ],
      second: [
        eightsFrom(-D / 2),
        {
          kind: 'free',
          name: 'across the gap, under the stone',
          line: Array.from({ length: ARC + 1 }, (_, index) => {
            const angle = (half - (SHORT * D) / R) * ((2 * index) / ARC - 1);
            return vec3(inner * Math.sin(angle), -inner * Math.cos(angle), (across + d) / 2);
          }),
          up: vec3(0, -1),
        },
        {
          kind: 'bound',
          name: `${counted(JOINED, 'turn')} about both sides’ wires, joined`,
          on: onBoth(1.6 * d, 'second'),
          over: 2 * HAIR * D,
          turns: JOINED,
          long: JOINED * pitch,
        },
      ],
      tails: { first: weavingTail, second: weavingTail },
    };
    const cut = cutsOfPiece(
      { bodies: [cab], wires: [...wires, thread] },
      {
        middle: {
          lower: 'middle: the back of the hand',
          upper: 'middle: the back of the hand',
          weaving: 'its fold, hooked on',
        },
        marked: wires.flatMap(({ id }) => [
          { wire: id, side: 'second' as const, at: 'up', what: 'hook the fold of the thin wire on here' },
          { wire: id, side: 'first' as const, at: 'up', what: 'the weave ends: part the wires' },
        ]),
        tails: 'tails',
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'straighten', name: 'straighten the ring wires', minutes: 1 },
        {
          id: 'weave',
          makes: ['figure-eights'],
          name: 'hook the thin wire on at its fold, and lay both its halves side by side in figure-eights, not all the way round',
          minutes: 3 + 2 * minutesToWeave({ wraps: 2 * eights }),
          cautions: ['gripping'],
        },
        {
          id: 'bend',
          name: 'bend it on the mandrel, and part the wires up and down where both sides come to the gap',
          minutes: 3,
        },
        {
          id: 'join',
          makes: ['across the gap, under the stone', 'about both sides’ wires, joined'],
          name: 'join both sides with one thin end',
          minutes: 2,
        },
        { id: 'stone', makes: ['stone'], name: 'set the stone on the gap', minutes: 1 },
        {
          id: 'lower',
          makes: ['up beside the stone', 'beside the tip', 'round, away from the tip'],
          name: 'lead the lower ends to both sides of its tip, and away again',
          minutes: 4,
          cautions: ['piercing'],
        },
        {
          id: 'upper',
          makes: ['outside of the lower one', 'once round the lower one', 'in over the tip'],
          name: 'lead the upper ones outside of them, once round each, and in over the tip',
          minutes: 6,
        },
        {
          id: 'heart',
          makes: [OPEN, 'over the tip: a heart'],
          name: 'bring the other thin end up, and weave both upper ends together over the tip',
          minutes: 1 + minutesToWeave({ wraps: 2 * heart }),
        },
        {
          id: 'apart',
          makes: ['side by side, and apart again'],
          name: 'lead them apart over the face and round its broad end',
          minutes: 3,
        },
        {
          id: 'close',
          makes: [THROUGH, 'loop, pointing at the stone'],
          name: 'pass all four ends down through the band, trim them and close them as loops that point at the stone',
          minutes: 8,
          cautions: ['cut ends', 'filing'],
        },
        { id: 'size', name: 'read the size both ways round', minutes: 1 },
      ],
      order: [
        { first: 'weave', then: 'bend', why: 'a bent band cannot be woven' },
        { first: 'join', then: 'stone', why: 'the stone lies over where both sides are joined' },
        { first: 'stone', then: 'lower', why: 'the ends are led round a stone that is there' },
        { first: 'lower', then: 'upper', why: 'the upper ends go once round the lower ones' },
        { first: 'upper', then: 'heart', why: 'what is woven together lies beside one another' },
        { first: 'apart', then: 'close', why: 'all four ends are passed through the band together' },
      ],
      notes: [note, `The band is ${said(across)} wide.`],
    });
  },
});

const OPEN = 'up beside the stone, openly round a lower wire';
