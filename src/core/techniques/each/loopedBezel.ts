import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { parallelOf, perimeterOf, type Outline } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Along, Cab, Course, Piece, PieceWire, Side } from '../../piece/piece';
import { ok, refuse, type Result } from '../../result';
import type { WeaveGroup } from '../../weave/notation';
import { cutsOfPiece, type MarkedCourse } from '../../technique/ofPiece';
import { count, length, roundWire, stone, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { evenHolds } from '../../judgement/holds';

/** A loop moves so far aside while it is turned, in thicknesses, so that it does not lie on itself; the next one moves back. */
const ASIDE = 1.25;
/**
 * Over how much of its way a wire comes back to the stone behind a loop, mm: where it passes beside the beginning of the loop, half of the way
 * on, that has risen by t²/(a + D) and clears it.
 */
const backOver = (loop: number, D: number): number => Math.sqrt(3.4 * (loop + D) * D);
/** How far loops lean in over the stone from standing upright on its edge, degrees. */
const LEAN = 25;
/** At the top each end leaves the stone so far from the middle, and goes up so far from it and so far over it, in thicknesses. */
const TOP = 1.6;
const [UPRIGHT, OVER] = [0.56, 1.8];
/** The ladder is wound loosely, so that its wires fold apart: each wrap moves on so far, in thicknesses. */
const LOOSE = 1.2;
/** Between rungs and the way on past a loop there is so much, in thicknesses of the ladder wire. */
const CLEAR = 3;
/** The first rungs lie so far off the foot, in thicknesses of the bezel wire: a stone may be pointed there. */
const OFF_FOOT = 1;
/** A stone is at least so wide, in thicknesses of the bezel wire. */
const LEAST = 10;
/** Minutes that a loop takes to turn, and a turn of the ladder. */
const [MINUTES_A_LOOP, MINUTES_A_TURN] = [1.5, 0.25];

const RAILS = ['front', 'rear'] as const;
type Rail = (typeof RAILS)[number];

/**
 * Two wires that each run once round a stone, one before its edge and one behind it, with loops at even distances that come over the edge;
 * laddered together between the loops with thin wire, worked from its middle. Their four ends become the bail.
 */
export const loopedBezel = technique({
  id: 'looped-bezel',
  title: 'Looped bezel, laddered',
  group: 'holding a stone',
  source:
    'each wire once round the stone, the outline’s perimeter + π(D + 2d), and a loop of √[(π(a + D))² + p²] at every distance; the ladder as its weave',
  parameters: {
    stone: stone('Stone', { outline: 'oval', length: 36, width: 27, depth: 7, edge: 3 }),
    wire: wire('Bezel wire', roundWire(1.291), 'loop bezel'),
    loop: length('Loop, inside', 3, 0.5, 20),
    apart: length('Loops apart, along the edge', 13, 3, 60),
    gap: length('Both wires apart', 3, 0.5, 20),
    bail: length('Bail, inside', 5, 1, 20),
    lashing: wire('Ladder wire', roundWire(0.405), 'weaving'),
    rungs: count('Rungs between two loops', 2, 1, 20),
    tail: length('Handling tail at each end of a bezel wire', 25, 0, 100),
    lashingTail: length('Tail at each end of the ladder wire', 60, 0, 200),
  },
  plan: ({ stone: held, wire: bezel, loop, apart, gap, bail, lashing, rungs: wraps, tail, lashingTail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const D = bezel.width;
    // The ladder goes between the stone and both wires.
    const line = parallelOf(outline.value, D / 2 + lashing.width);
    if (Math.min(held.width, held.length) < LEAST * D)
      return refuse(
        `A ladder of ${said(D)} wires does not bend round a stone ${said(Math.min(held.width, held.length))} wide; it is ${said(LEAST * D)} wide at least.`,
      );
    const whole = perimeterOf(line);
    const aSide = Math.max(1, Math.floor(whole / apart / 2));
    const step = whole / 2 / aSide;
    const room = roomFor(step, loop, D, wraps, lashing.width);
    if (!room.ok) return room;
    const stoneAt: Cab = { kind: 'cab', id: 'stone', size: held, pose: pose(vec3(0, 0), vec3(1, 0)) };
    const told = {
      aSide,
      step,
      wraps,
      thin: lashing.width,
      gap,
      loop,
      thick: D,
      edge: held.edge,
      half: whole / 2,
    };
    const wires: PieceWire[] = [
      ...RAILS.map((rail): PieceWire => {
        const hand = handOf({
          rail,
          line,
          held,
          step,
          aSide,
          loop,
          gap,
          bail,
          thick: D,
          play: lashing.width,
        });
        return {
          id: rail,
          name: `bezel wire, ${rail}`,
          cutFrom: 'wire',
          size: bezel,
          start: pose(footOf(line, heightOf(rail, held.edge, gap, D)), vec3(-1, 0)),
          first: hand('first'),
          second: hand('second'),
          tails: { first: tail, second: tail },
        };
      }),
      {
        id: 'ladder',
        name: 'ladder wire',
        cutFrom: 'lashing',
        size: lashing,
        first: ladder('first', told),
        second: ladder('second', told),
        tails: { first: lashingTail, second: lashingTail },
      },
    ];
    const piece: Piece = { bodies: [stoneAt], wires };
    const loops = 2 * aSide;
    const marked = RAILS.flatMap((rail) =>
      (['first', 'second'] as const).flatMap((side): MarkedCourse[] => [
        { wire: rail, side, at: 'bail from the ends', what: 'the top: the ends go up' },
      ]),
    );
    const cut = cutsOfPiece(piece, {
      middle: 'middle: the foot of the stone',
      marked,
    });
    if (!cut.ok) return cut;
    const each = cut.value.run.wires[0]?.cut ?? 0;
    const round = perimeterOf(outline.value);
    return ok({
      cuts: cut.value.cuts,
      run: cut.value.run,
      steps: [
        { id: 'mark', name: 'mark the loops on both wires', minutes: 2 },
        {
          id: 'loops',
          makes: ['round the stone'],
          name: 'turn the loops on both, alike, flat along one side',
          minutes: 2 + 2 * loops * MINUTES_A_LOOP,
          cautions: ['gripping'],
        },
        { id: 'try', name: 'try the second wire against the first, and both round the stone', minutes: 2 },
        {
          id: 'ladder',
          makes: ['ladder wire'],
          name: 'lay them with their loops outward and ladder them between the loops, from the middle',
          minutes: 2 + loops * wraps * 2 * MINUTES_A_TURN,
        },
        { id: 'mould', makes: ['stone'], name: 'mould the ladder round the stone', minutes: 3 },
        { id: 'fold', name: 'fold the loops apart over the stone’s edge', minutes: 4 },
        {
          id: 'close',
          name: 'close the top with the ends of the ladder wire',
          minutes: 3,
          cautions: ['cut ends'],
        },
        { id: 'bail', makes: ['bail from the ends'], name: 'make the bail of the four ends', minutes: 5 },
        { id: 'round', name: 'round the loops, trim and tuck', minutes: 3, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'mark', then: 'loops', why: 'loops that are turned by eye are not even' },
        { first: 'try', then: 'ladder', why: 'a wire that does not fit is not got out of the ladder again' },
        { first: 'ladder', then: 'mould', why: 'the ladder is made flat' },
        { first: 'fold', then: 'close', why: 'the stone does not pass a bezel that is shut' },
      ],
      holds: evenHolds(round, loops, (loop + 2 * D) / 2),
      notes: [
        `${counted(loops, 'loop')} on each wire, ${said(step)} apart.`,
        `Each wire is ${(each / round).toFixed(1)} times the way round the stone; the rule of thumb is 3 to 3½ times.`,
      ],
    });
  },
});

/** Whether a loop and its ladder have room between two loops. */
function roomFor(step: number, loop: number, D: number, wraps: number, thin: number): Result<null> {
  const across = loop + 2 * D;
  if (step < across)
    return refuse(
      `Loops of ${said(across)} across lie over one another when they stand ${said(step)} apart; give ${said(across)} or more.`,
    );
  const back = backOver(loop, D);
  if (step / 2 < back + TOP * D)
    return refuse(
      `Behind its last loop a wire comes back over ${said(back)} and goes up ${said(TOP * D)} before the top; loops ${said(step)} apart leave ${said(step / 2)} for both.`,
    );
  const laddered = longOf(rungs(wraps), thin);
  const free = step - back - D;
  return laddered <= free
    ? ok(null)
    : refuse(
        `${counted(wraps, 'rung')} of ${said(thin)} wire take ${said(laddered)}; between two loops there are ${said(free)}.`,
      );
}

/** Two turns on the one wire, across, two on the other. */
const rungs = (wraps: number): readonly WeaveGroup[] =>
  Array.from({ length: wraps }, (): WeaveGroup[] => [
    { kind: 'wrap', first: 0, last: 0, wraps: 2 },
    { kind: 'wrap', first: 1, last: 1, wraps: 2 },
  ]).flat();

/** How much of both wires some groups cover, mm; each is two wraps. */
const longOf = (groups: readonly WeaveGroup[], thin: number): number => groups.length * 2 * LOOSE * thin;

/** The height of a rail's middle over the stone's back. */
const heightOf = (rail: Rail, edge: number, gap: number, D: number): number =>
  edge / 2 + (rail === 'front' ? 1 : -1) * ((gap + D) / 2);

/** Where the line round the stone has its foot. */
function footOf({ curves }: Outline, z: number) {
  const lowest = curves
    .flatMap(({ at }) => Array.from({ length: 65 }, (_, index) => at(index / 64)))
    .reduce((low, point) => (point.y > low.y ? point : low));
  return vec3(0, lowest.y, z);
}

interface RailTold {
  readonly rail: Rail;
  readonly line: Outline;
  readonly held: { readonly edge: number };
  readonly step: number;
  readonly aSide: number;
  readonly loop: number;
  readonly gap: number;
  readonly bail: number;
  readonly thick: number;
  /** Between the stone and it. */
  readonly play: number;
}

/** Half of a rail: from the foot up one side with its loops, at the top up and over as half of the bail. */
function handOf(told: RailTold): (side: Side) => readonly Course[] {
  const { rail, line, held, step, aSide, loop, gap, bail, thick: D, play } = told;
  const half = perimeterOf(line) / 2;
  const front = rail === 'front';
  const level = heightOf(rail, held.edge, gap, D);
  const top = Math.min(...line.curves.flatMap(({ at }) => [0, 0.25, 0.5, 0.75].map((t) => at(t).y)));
  return (side) => {
    const way = side === 'first' ? 1 : -1;
    // Clockwise from the top, the foot lies half round; the first hand goes on clockwise.
    const at = (along: number) => ({ mm: half + way * along });
    const run = (from: number, to: number, height: number, id: string): Course => ({
      kind: 'round',
      name: 'round the stone',
      id,
      body: 'stone',
      from: at(from),
      to: at(to),
      play,
      height,
    });
    const courses: Course[] = [];
    let from = 0;
    for (let index = 0; index < aSide; index += 1) {
      const place = step * (index + 0.5);
      courses.push(run(from, place, level, `to loop ${index}`));
      courses.push({
        kind: 'coiled',
        name: 'loops',
        id: `loop ${index}`,
        about: loop,
        turns: way,
        // Aside is away from the stone, before its edge and behind it.
        pitch: (front ? ASIDE : -ASIDE) * D,
        roll: way * (front ? 90 - LEAN : LEAN - 90),
      });
      from = place + backOver(loop, D);
    }
    const over = bail + (front ? 2 * (gap + D) : 0);
    return [
      ...courses,
      run(from, half - TOP * D, level, 'to the top'),
      {
        kind: 'led',
        name: 'bail from the ends',
        to: pose(vec3(-way * UPRIGHT * D, top - OVER * D, level), vec3(0, -1)),
      },
      { kind: 'laid', name: 'bail from the ends', length: 3 * D },
      { kind: 'bent', name: 'bail from the ends', about: over, angle: 180, roll: -90 },
      { kind: 'laid', name: 'bail from the ends', length: 5 * D },
    ];
  };
}

interface LadderTold {
  readonly aSide: number;
  readonly step: number;
  readonly wraps: number;
  readonly thin: number;
  readonly gap: number;
  readonly loop: number;
  readonly thick: number;
  readonly edge: number;
  /** Half of the way round. */
  readonly half: number;
}

/** One half of the ladder wire: rungs between the loops of one side, from the foot up; half of them at the foot and at the top. */
function ladder(
  side: Side,
  { aSide, step, wraps, thin, gap, loop, thick: D, edge, half }: LadderTold,
): readonly Course[] {
  const few = rungs(Math.max(1, Math.floor(wraps / 2)));
  const section = (groups: readonly WeaveGroup[], from: Along['from']): Course => {
    const halves = groups.reduce((sum, group) => sum + (group.kind === 'pass' ? 0 : 2 * group.wraps), 0);
    return {
      kind: 'wound',
      name: `${counted(wraps, 'rung')} between every two loops`,
      on: RAILS.map((rail) => ({ wire: rail, from, towards: side })),
      groups,
      gap,
      pitch: LOOSE * thin,
      // It begins and ends between both wires, where it goes on past the next loop.
      skips: 1,
      halves: halves - 2,
    };
  };
  const way = side === 'first' ? 1 : -1;
  /** On past the next loop, between both wires, along the edge of the stone. */
  const onward = (from: number, to: number): Course => ({
    kind: 'round',
    name: 'past the loops',
    body: 'stone',
    from: { mm: half + way * from },
    to: { mm: half + way * to },
    play: (D + thin) / 2,
    height: edge / 2,
  });
  const back = backOver(loop, D);
  let at = OFF_FOOT * D + longOf(few, thin);
  const courses = [section(few, way * OFF_FOOT * D)];
  for (let index = 0; index < aSide; index += 1) {
    // Behind a loop its wire comes back to the stone first; at the top there is room for as many rungs as there is.
    const isLast = index === aSide - 1;
    const room = (isLast ? step / 2 - TOP * D : step - D) - back;
    const groups = isLast ? few.slice(0, 2 * Math.floor(room / longOf(rungs(1), thin))) : rungs(wraps);
    if (groups.length === 0) continue;
    const spare = room - longOf(groups, thin);
    const on = back + spare / 2;
    const begin = step * (index + 0.5) + on;
    courses.push(
      onward(at + CLEAR * thin, begin - CLEAR * thin),
      section(groups, { side, endOf: `loop ${index}`, on }),
    );
    at = begin + longOf(groups, thin);
  }
  return courses;
}
