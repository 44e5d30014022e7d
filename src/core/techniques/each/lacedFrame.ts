import { finely, lengthsAlong } from '../../geometry/alongPath';
import { lengthOfPath, type Path, type Vec3 } from '../../geometry/path';
import { pose, smoothWay } from '../../geometry/pose';
import { spaceLine } from '../../geometry/spaceLine';
import { minus3, plus3, scaled3, unit3, vec3 } from '../../geometry/vec3';
import type { Along, Bead, Course } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import type { WeaveGroup } from '../../weave/notation';
import { boundBeads as boundOn } from '../../techniqueKit/boundBead';
import { plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { withExtra } from '../../techniqueKit/woven';

/** The coiling wire is at most so thick, as a part of the frame wire. */
const THINNER = 0.5;
/** Points round the large loop. */
const POINTS = 360;
/** A loop that begins as a point is widest where its sine times that of half its angle is greatest: 4/(3√3). */
const WIDEST = 4 / (3 * Math.sqrt(3));
/** How high over the fold the longer leg leaves its loop for the crossings, as a part of the height. */
const LEAVES = 0.27;
/** Where the longer leg ends, as parts of half width and height, and which way. */
const END = { across: 0.8, high: 0.17, way: vec3(0.8, -0.6) } as const;
/** How far its end is bent down for its loop, degrees. */
const DOWN = 120;
/** Where the shorter leg comes over its top and where it ends inside, as parts of half width and height. */
const TOP = { across: -0.14, high: 0.8 } as const;
const SIDE = { across: 0.5, high: 0.62 } as const;
const INSIDE = { across: 0.2, high: 0.42, way: vec3(-0.5, 1) } as const;
/** Both legs are free of the fold this far over it, in thicknesses. */
const FOLD = 1.2;
/** A crossing wire lies off the one under it by both, and so much of the thin wire, in its thicknesses. */
const OVER = 1.6;
/** How far over where it leaves its loop the longer leg begins to come up to cross, and where the weave ends, in thicknesses of the frame. */
const [LIFTS, LACED] = [3, 3];
/** How far from a crossing the coil begins, goes on behind it, and what is fastened lies, in thicknesses of the frame. */
const [BEGINS, AFTER, BESIDE] = [2.4, 1.6, 1.1];
/** How much of its end is left bare before the small loop, in thicknesses; how many places of the end are tried. */
const [ENDING, ENDS] = [2, 30];
/** Wraps that fasten the thin wire at each crossing. */
const FASTENED = 2;
/** Two on A, two on B: so many turns. */
const CORSET: readonly WeaveGroup[] = [
  { kind: 'wrap', first: 0, last: 0, wraps: 2 },
  { kind: 'wrap', first: 1, last: 1, wraps: 2 },
];

/** How far along two lines they cross as they are seen from the front, mm. @param apart how finely that is found */
function crossingOf(given: Path, other: Path, apart: number): readonly [onA: number, onB: number] {
  const [a, b] = [finely(given, apart), finely(other, apart)];
  const [alongA, alongB] = [lengthsAlong(a), lengthsAlong(b)];
  let best = { apart: Infinity, on: [0, 0] as readonly [number, number] };
  for (const [i, p] of a.entries())
    for (const [j, q] of b.entries()) {
      const apart = Math.hypot(p.x - q.x, p.y - q.y);
      if (apart < best.apart) best = { apart, on: [alongA[i] ?? 0, alongB[j] ?? 0] };
    }
  return best.on;
}

/**
 * One wire folded off its middle: the longer leg goes over the top as a large loop and crosses the shorter and itself at the foot, the shorter is a
 * smaller loop inside it. One thin wire coils, binds beads, laces both legs together, and is fastened at both crossings.
 */
export const lacedFrame = technique({
  id: 'laced-frame',
  title: 'Open frame, coiled, laced and beaded',
  group: 'weaves',
  source:
    'two loops that share a fold, measured; √[(π(D + d))² + d²] a turn of the coil, two and two where it laces both legs, beads as bound on a frame',
  parameters: {
    base: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Coiling wire', roundWire(0.405), 'coiling'),
    high: length('Height of the large loop', 40, 10, 200),
    wide: length('Width of the large loop', 27, 6, 160),
    laced: length('Both legs are laced for', 13, 2, 120),
    bead: beadLength('Bead', 2, 0.5, 10),
    drilled: drilled(0.8),
    beads: count('Beads on the way up', 5, 1, 30),
    last: count('Beads at the end', 3, 1, 12),
    wraps: count('Turns between beads', 3, 1, 12),
    first: count('Turns before the first bead', 10, 1, 80),
    close: count('Turns to end', 5, 1, 30),
    loop: length('Loops at both ends, inside', 2.5, 0.8, 12),
    trim: length('Trim at each end of the frame wire', 1, 0, 60),
    tail: length('Tail at each end of the coiling wire', 60, 0, 200),
  },
  plan: (told) => {
    const { base: size, wire: thin, high, wide, laced, bead, drilled: hole, loop, trim, tail } = told;
    const D = size.width;
    const { thick, pitch } = bendOf(thin);
    if (thick > THINNER * D)
      return refuse(
        `A coiling wire of ${said(thick)} does not lie round the loops of ${said(D)} wire; ${said(THINNER * D)} is the most.`,
      );
    const step = D + thick;
    const half = wide / 2;
    const loopAt = (t: number): Vec3 =>
      vec3((half / WIDEST) * Math.sin(t) * Math.sin(t / 2), (-high * (1 - Math.cos(t))) / 2);
    const all = Array.from({ length: POINTS + 1 }, (_, index) => loopAt((2 * Math.PI * index) / POINTS));
    const leaves = all.findLastIndex(({ y }) => y < -LEAVES * high);
    const begins = all.findIndex(({ y }) => y < -FOLD * D);
    /** From the fold straight on to a line, and along it. */
    const foldedTo = (points: Path, way: 1 | -1): Path => {
      const first = points[0] as Vec3;
      const goes = unit3(first);
      const fold = scaled3(goes, FOLD * D);
      return [...smoothWay(pose(vec3(0, 0), vec3(way, 0)), pose(fold, goes)), ...points];
    };

    const over = D + OVER * thick;
    const [before, left] = [all[leaves - 1], all[leaves]] as [Vec3, Vec3];
    /** From where the longer leg leaves its loop to an end that lies so far to the right, seen from the front. */
    const crossingTo = (across: number): Path =>
      smoothWay(pose(left, minus3(left, before)), pose(vec3(across, -END.high * high), END.way));

    // The shorter leg lies inside of the large loop as far as both are laced, and is led over its own top and down from there.
    const rising = spaceLine([...all.slice(POINTS / 2, leaves + 1)].reverse());
    const insideAt = (s: number): Vec3 => {
      const { at, along } = rising.at(s);
      return plus3(at, scaled3(vec3(-along.y, along.x), step));
    };
    const steps = 60;
    const beside = Array.from({ length: steps + 1 }, (_, index) =>
      insideAt((LACED * D + laced) * (index / steps)),
    );
    const [last, end] = beside.slice(-2) as [Vec3, Vec3];
    const top = pose(vec3(TOP.across * half, -TOP.high * high), vec3(1, 0));
    const [turns, inside] = [
      pose(vec3(SIDE.across * half, -SIDE.high * high), vec3(0, 1)),
      pose(vec3(INSIDE.across * half, -INSIDE.high * high), INSIDE.way),
    ];
    const upLeft = foldedTo(beside, -1);
    const shorter = [
      ...upLeft,
      ...smoothWay(pose(end, minus3(end, last)), top).slice(1),
      ...smoothWay(top, turns).slice(1),
      ...smoothWay(turns, inside).slice(1),
    ];
    const round = foldedTo(all.slice(begins, leaves + 1), 1);
    // As far to the right as the last beads want it.
    const lasting = (told.last + 1) * told.wraps * pitch + told.last * bead + told.close * pitch;
    const crosses =
      Array.from({ length: ENDS }, (_, index) => crossingTo(half * (END.across + index * 0.06))).find(
        (path) => {
          const [from] = crossingOf(path, round.slice(0, POINTS / 6), D / 4);
          return lengthOfPath(path) - from > lasting + (AFTER + ENDING) * D;
        },
      ) ?? [];
    if (crosses.length === 0)
      return refuse(
        `${counted(told.last, 'bead')} and ${counted(told.close, 'turn')} to end take ${said(lasting)}; a loop of ${said(wide)} across has no end of that length.`,
      );
    const [overShort, onShort] = crossingOf(crosses, upLeft.slice(0, -beside.length + 1), D / 10);
    const [overLong, onRise] = crossingOf(crosses, round.slice(0, POINTS / 6), D / 10);
    // It has come up to cross before it meets the shorter leg.
    const lifts = lengthOfPath(round) - LIFTS * D;
    const lifted = lengthOfPath(round) + overShort - D - lifts;
    const way = [...round, ...crosses.slice(1)];
    const along = lengthsAlong(way);
    const longer = way.map((at, index): Vec3 => {
      const part = Math.min(1, Math.max(0, ((along[index] ?? 0) - lifts) / lifted));
      return { ...at, z: over * part * part * (3 - 2 * part) };
    });

    const onLong = lengthOfPath(round);
    const least = Math.min(onRise - FASTENED * pitch, onShort) - (BESIDE + FOLD) * D;
    if (least < D / 2)
      return refuse(
        `Between the fold and the crossings of a loop of ${said(high)} by ${said(wide)} there is no room to fasten a wire of ${said(thick)}; ${said(high * 1.5)} by ${said(wide * 1.5)} has more.`,
      );
    const stripTop = { long: onLong - LACED * D - laced, short: lengthOfPath(upLeft) };
    const coilFrom = onRise + BEGINS * D;
    const oneBead = bead + told.wraps * pitch;
    const beaded = told.first * pitch + told.beads * oneBead - told.wraps * pitch;
    const turned = Math.PI * 1.2;
    const toStrip = Math.floor((stripTop.long - coilFrom - beaded - turned * (step / 2)) / pitch) - 1;
    if (toStrip < 1)
      return refuse(
        `${counted(told.beads, 'bead')} and what is laced do not lie on a loop of ${said(high)} by ${said(wide)}: the coil has ${said(toStrip * pitch)} between them.`,
      );
    const repeats = Math.floor(laced / (4 * pitch));
    if (repeats < 1)
      return refuse(`Two and two take ${said(4 * pitch)} of both legs; ${said(laced)} are laced.`);
    const bodies = (id: string, count: number) =>
      Array.from({ length: count }, (_, index): Bead => ({
        kind: 'bead',
        id: `${id} ${index + 1}`,
        width: bead,
        length: bead,
        hole,
      }));
    const [firsts, lasts] = [bodies('bead', told.beads), bodies('last bead', told.last)];
    const corset = Array.from({ length: repeats }, () => CORSET).flat();
    const longBy =
      lengthOfPath(Array.from({ length: 41 }, (_, index) => rising.at(LACED * D + (laced * index) / 40).at)) -
      lengthOfPath(Array.from({ length: 41 }, (_, index) => insideAt(LACED * D + (laced * index) / 40)));
    const extra = Math.max(0, Math.round(longBy / pitch));
    const groups = withExtra(
      corset,
      Array.from({ length: extra }, (_, index) => Math.round(((index + 0.5) * 2 * repeats) / extra)),
    );
    const frame = (from: number, towards: Along['towards']): Along => ({ wire: 'frame', from, towards });
    const fastened = (on: Along, halves: number): Course => ({
      kind: 'wound',
      name: 'fastened at both crossings',
      taut: 'to the crossings',
      on: [on],
      groups: [{ kind: 'wrap', first: 0, last: 0, wraps: FASTENED }],
      begins: 'back',
      halves,
    });
    const loops = plainLoop({ name: 'small loops', id: 'loop', inside: loop, size, way: 'right' });
    const cut = cutsOfPiece(
      {
        bodies: [...firsts, ...lasts],
        wires: [
          {
            id: 'frame',
            name: 'frame wire',
            cutFrom: 'base',
            size,
            start: pose(vec3(0, 0), vec3(1, 0)),
            first: [
              { kind: 'free', name: 'longer leg', line: longer, up: vec3(0, 0, 1) },
              { kind: 'bent', name: 'small loops', about: 2 * D, angle: DOWN },
              ...loops,
            ],
            second: [{ kind: 'free', name: 'shorter leg', line: shorter, up: vec3(0, 0, 1) }, ...loops],
            tails: { first: trim, second: trim },
          },
          {
            id: 'coiling',
            name: 'coiling wire',
            cutFrom: 'wire',
            size: thin,
            first: [
              ...boundOn({
                on: frame(coilFrom, 'first'),
                frame: size,
                thin,
                wraps: { first: told.first, between: told.wraps, last: toStrip },
                beads: firsts,
                times: 'once',
                side: 'right',
              }),
              {
                kind: 'wound',
                name: `${counted(repeats, 'repeat')} of A2 B2`,
                on: [frame(stripTop.long, 'first'), frame(-stripTop.short, 'first')],
                groups,
                halves:
                  2 * groups.reduce((sum, each) => sum + (each.kind === 'wrap' ? each.wraps : 0), 0) - 2,
              },
              fastened(frame(-(onShort - BESIDE * D), 'first'), 2 * FASTENED),
              fastened(frame(onRise - BESIDE * D - FASTENED * pitch, 'first'), 2 * FASTENED - 1),
              ...boundOn({
                on: frame(onLong + overLong + AFTER * D, 'first'),
                frame: size,
                thin,
                wraps: { first: told.wraps, between: told.wraps, last: told.close },
                beads: lasts,
                times: 'once',
                side: 'right',
              }),
            ],
            second: [],
            tails: { first: tail, second: tail },
          },
        ],
      },
      { middle: { frame: 'fold here', coiling: 'begin to coil' }, tails: 'tails' },
    );
    if (!cut.ok) return cut;
    const beads = told.beads + told.last;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'fold',
          makes: ['shorter leg'],
          name: 'fold the wire sharply off its middle, and curve both legs',
          minutes: 4,
        },
        { id: 'true', name: 'check both loops against a straight line', minutes: 1 },
        {
          id: 'hammer',
          name: 'bend the ends aside and hammer the frame, its back first and then its front, never on a crossing',
          minutes: 3,
          cautions: ['hammering'],
        },
        { id: 'count-out', name: 'count out the beads', minutes: 1 },
        {
          id: 'coil',
          makes: ['wraps', 'bead'],
          name: `coil up the longer leg, bind on the first ${counted(told.beads, 'bead')}, and coil on to where the legs meet`,
          minutes: 3 + told.beads + toStrip * 0.12,
          cautions: ['gripping'],
        },
        {
          id: 'lace',
          makes: ['of A2 B2'],
          name: 'lace both legs together, two and two',
          minutes: 2 + repeats * 0.6,
          cautions: ['gripping'],
        },
        {
          id: 'fasten',
          makes: ['fastened at both crossings', 'last bead'],
          name: `fasten the coiling wire at both crossings, and bind on the last ${counted(told.last, 'bead')}`,
          minutes: 3 + told.last,
          cautions: ['cut ends'],
        },
        {
          id: 'loops',
          makes: ['small loops'],
          name: 'turn small loops at both ends, facing down',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'hammer', then: 'coil', why: 'wire is not hammered on wire' },
        { first: 'count-out', then: 'coil', why: 'a strand that runs out leaves the sides unlike' },
        { first: 'fasten', then: 'loops', why: 'beads do not pass a loop' },
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [
        `The coil has ${counted(toStrip, 'turn')} between the beads and the weave${extra > 0 ? `; ${counted(extra, 'wrap')} more on the outer leg where it is laced` : ''}.`,
        `The longer leg takes ${said(lengthOfPath(longer))} of the frame wire, the shorter ${said(lengthOfPath(shorter))}.`,
      ],
    });
  },
});
