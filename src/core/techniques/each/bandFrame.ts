import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { distance, minus, scaled, turnBetween, type Vec } from '../../geometry/vector';
import { centroidOf, parallelOf, perimeterOf, placeAt, type Outline } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Cab, Course, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import type { ActWire } from '../../technique/act';
import { choice, count, length, roundWire, stone, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Both uprights leave the stone so far beside the balance point, and stand upright so far over it, in thicknesses. */
const [TOP, OVER] = [1.6, 1.8];
const HAIR = 0.06;
/** What closes a band on its first rail, turns. */
const CLOSING = 1;
/** Where a band begins the rails stand apart by at least so many thicknesses. */
const APART = 4.5;
/** How finely the frame is looked at, parts of its way round. */
const PARTS = 720;

const SIDES = ['first', 'second'] as const;
const SIDE_WORDS: Readonly<Record<Side, string>> = { first: 'left', second: 'right' };

/**
 * One wire once round a stone, loosely, both its ends upright side by side over the balance point; near each end of the stone bands of half-round
 * wire go from rail to rail over the face and back behind it.
 */
export const bandFrame = actTechnique({
  id: 'band-frame',
  title: 'Outline frame with half-round bands',
  group: 'holding a stone',
  source:
    'the frame along the outline’s parallel curve; a band is turns on both rails, with the centroid of its half disc 0.424 h off them, the taut way over the dome and the way back',
  parameters: {
    stone: stone('Stone', { outline: 'crescent', length: 40, width: 18, depth: 6, edge: 4 }),
    hangs: choice('The stone hangs', ['as its outline lies', 'upside down'], 'as its outline lies'),
    wire: wire('Frame wire', roundWire(1.024), 'frame'),
    band: wire('Band wire', { profile: 'half-round', width: 1.024, height: 0.512 }, 'binding'),
    bandsEach: count('Bands at each end of the stone', 2, 1, 20),
    turnsEach: count('Turns of each band on each rail', 3, 1, 20),
    cut: choice('Bands are cut', ['one length for each end', 'one by one'], 'one by one'),
    bail: length('Ends upright over the balance point, each', 3, 0, 80),
    tail: length('Handling tail at each end of the frame wire', 120, 0, 250),
    bandTail: length('Held and trimmed at each end of a band', 5, 0, 60),
  },
  ports: {
    frame: {
      label: 'Frame wire',
      does: 'frame a stone, with bands across it',
      takes: ['wire'],
      from: 1,
      to: 1,
      wire: 'wire',
      freshOnly: ['wire'],
      fresh: ({ tail }) => ({ count: 1, name: 'frame wire', tail }),
    },
  },
  act: (
    { stone: held, hangs, wire: frame, band, bandsEach: bands, turnsEach: turns, cut, bail, tail, bandTail },
    { wires: taken, own },
  ) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const [rail] = taken('frame');
    if (!rail) return refuse('An outline frame is one wire; choose one.');
    const D = frame.width;
    const { height: thin, pitch } = bendOf(band);
    const play = Math.max(thin, rail.wound.thick);
    const line = parallelOf(outline.value, play + D / 2);
    const whole = perimeterOf(line);
    const down = hangs === 'upside down' ? -1 : 1;
    const placeOn = (along: number) => {
      const { point, direction } = placeAt(line, ((along % whole) + whole) % whole);
      return { point: scaled(point, down), direction: scaled(direction, down) };
    };
    const balance = scaled(centroidOf(outline.value), down);
    const top = topOver(placeOn, whole, balance.x);
    const foot = (top + whole / 2) % whole;
    const ends = whole / 2 - TOP * D;
    // Inside of the bend of a rail turns touch one another: along its middle they come farther.
    const turn = pitch / (1 - ((D + thin) / 2) * bendOfLine(outline.value, play + D / 2));
    const group = turns * turn;
    // One by one, each is closed with a turn of its own.
    const step = cut === 'one by one' ? group + CLOSING * turn : group;
    const onHand = (side: Side, mm: number) => foot + (side === 'first' ? mm : -mm);
    // Each hand comes past the farthest point of the stone on its side: from there on the other rail stands opposite.
    const tips = SIDES.map((side) => tipOf((mm) => placeOn(onHand(side, mm)).point, ends, balance));
    const rooms = tips.map((tip, index) => {
      const side = SIDES[index] as Side;
      const begin = beginOf((mm) => placeOn(onHand(side, mm)).point, tip, ends, APART * D);
      return { tip, begin, room: Math.min(tip, ends - tip) - begin - group - CLOSING * turn };
    });
    const room = Math.min(...rooms.map((each) => each.room));
    if (bands * step > room)
      return refuse(
        `${counted(bands, 'band')} of ${counted(turns, 'turn')} are ${said(bands * step)} wide; at each end of this stone there are ${said(Math.max(0, room))} for them.`,
      );
    const height = held.edge / 2;
    const stoneAt: Cab = { kind: 'cab', id: own('stone'), size: held, pose: pose(vec3(0, 0), vec3(down, 0)) };
    const lie = { body: own('stone'), play, height };
    const at = placeOn(top).point;
    const aside = (D / 2) * (1 + HAIR);
    const handOf = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      return [
        {
          kind: 'round',
          name: 'once round the stone',
          from: { mm: foot },
          to: { mm: foot + way * ends },
          ...lie,
        },
        {
          kind: 'led',
          name: 'bent upright over the balance point',
          id: 'top',
          to: pose(vec3(at.x - way * aside, at.y - OVER * D, height), vec3(0, -1)),
        },
        ...(bail > 0 ? [{ kind: 'laid', name: 'upright', length: bail } as const] : []),
      ];
    };
    const inTurns = `${counted(2 * turns, 'turn')} on the rails`;
    // From the outer rail over the face to the other, away from the tip, and back behind.
    const bandOf = (
      which: number,
      side: Side,
      { isFirst, isLast }: { isFirst: boolean; isLast: boolean },
    ): Course[] => {
      const { tip, begin } = rooms[SIDES.indexOf(side)] as (typeof rooms)[number];
      const sense = side === 'first' ? -1 : 1;
      const railFrom = (mm: number, towards: Side) => ({
        wire: rail.wire,
        from: side === 'first' ? mm : -mm,
        towards,
      });
      const back = side === 'first' ? 'second' : 'first';
      const outer = railFrom(tip - begin - which * step, back);
      const inner = railFrom(tip + begin + which * step + group, side);
      const closed = railFrom(tip - begin - which * step - group, back);
      const long = (turns - 0.5) * pitch;
      const onRail = { kind: 'bound', name: inTurns, turns: sense * (turns - 0.5), long } as const;
      const over = { body: own('stone'), face: 'front', name: 'over the face' } as const;
      const behind = { body: own('stone'), face: 'back', name: 'flat across the back' } as const;
      return [
        { ...onRail, on: [outer], begin: 180, ...(isFirst ? {} : { across: behind }) },
        { ...onRail, on: [inner], begin: 0, across: over },
        ...(isLast
          ? [
              {
                ...onRail,
                on: [closed],
                begin: 180,
                turns: sense * (CLOSING - 0.25),
                long: pitch / 4,
                across: behind,
              },
            ]
          : []),
      ];
    };
    const wiresOf = (side: Side): readonly ActWire[] => {
      const all = Array.from({ length: bands }, (_, which) => which);
      const groups = cut === 'one by one' ? all.map((which) => [which]) : [all];
      return groups.map((which) => ({
        id: own(`band ${SIDE_WORDS[side]} ${(which[0] ?? 0) + 1}`),
        name: cut === 'one by one' ? `band ${(which[0] ?? 0) + 1}` : 'band',
        cutFrom: 'band',
        size: band,
        first: which.flatMap((one, index) =>
          bandOf(one, side, { isFirst: index === 0, isLast: index === which.length - 1 }),
        ),
        second: [],
        tails: { first: bandTail, second: bandTail },
      }));
    };
    return ok({
      bodies: [stoneAt],
      starts: [
        {
          wire: rail.wire,
          pose: pose(
            vec3(placeOn(foot).point.x, placeOn(foot).point.y, height),
            vec3(placeOn(foot).direction.x, placeOn(foot).direction.y),
          ),
          middle: 'middle: opposite of the uprights',
        },
      ],
      goesOn: SIDES.map((side) => ({ end: { wire: rail.wire, side }, courses: handOf(side), tail })),
      wires: SIDES.flatMap(wiresOf),
      leaves: SIDES.map((side) => ({
        id: SIDE_WORDS[side],
        label: `${rail.name}, ${SIDE_WORDS[side]} end`,
        takes: 'end' as const,
        wire: rail.wire,
        side,
        after: 'upright',
      })),
      marked: SIDES.map((side) => ({
        wire: rail.wire,
        side,
        at: 'top',
        what: 'bend upright: over the balance point',
      })),
      steps: [
        { id: 'straighten', name: 'straighten the frame wire', minutes: 1 },
        {
          id: 'form',
          makes: ['once round the stone'],
          name: 'form it loosely once round the stone',
          minutes: 5,
        },
        { id: 'try', name: 'find where the stone hangs level, and try it in and out', minutes: 1 },
        {
          id: 'upright',
          makes: ['top', 'upright'],
          name: 'bend both ends upright over the balance point',
          minutes: 2,
        },
        {
          id: 'first-band',
          makes: ['band 1'],
          name: 'wind the first band at each end; the stone goes in from the second on',
          minutes: 2 * bandMinutes(turns),
          cautions: ['cut ends'],
        },
        { id: 'stone', makes: ['stone'], name: 'put the stone in', minutes: 1 },
        {
          id: 'bands',
          makes: ['band', ...Array.from({ length: bands - 1 }, (_, index) => `band ${index + 2}`)],
          name: 'wind the other bands, alike at both ends, flat side to the frame',
          minutes: Math.max(0.5, 2 * (bands - 1) * bandMinutes(turns)),
          cautions: ['gripping'],
        },
        { id: 'tuck', name: 'trim and tuck every end behind', minutes: 3, cautions: ['cut ends'] },
      ],
      order: [
        {
          first: 'try',
          then: 'upright',
          why: 'a frame that stands upright cannot be moved to where the stone hangs level',
        },
        { first: 'stone', then: 'bands', why: 'from the second band on the stone does not go in any more' },
      ],
      notes: [
        `A band covers ${said(group)} of each rail; the first begins ${said(Math.max(...rooms.map(({ begin }) => begin)))} from the tip.`,
      ],
    });
  },
});

/** How strongly the long sides of a line round a stone are bent: the middle one of its curvatures, 1/mm. */
function bendOfLine(outline: Outline, off: number): number {
  const line = parallelOf(outline, off);
  const step = perimeterOf(line) / PARTS;
  const bends = Array.from({ length: PARTS }, (_, part) => {
    const [before, after] = [placeAt(line, part * step), placeAt(line, ((part + 1) % PARTS) * step)];
    return Math.abs(turnBetween(before.direction, after.direction)) / step;
  });
  return bends.sort((a, b) => a - b)[PARTS / 2] ?? 0;
}

/** Minutes for a band. */
const bandMinutes = (turns: number): number => 1 + turns * 0.4;

/** The place of a line that lies highest over a point of the paper. */
function topOver(placeOn: (along: number) => { readonly point: Vec }, whole: number, x: number): number {
  const places = Array.from({ length: PARTS }, (_, part) => (whole * part) / PARTS);
  const near = places.filter((along) => Math.abs(placeOn(along).point.x - x) < (1.5 * whole) / PARTS);
  const highest = Math.min(...near.map((along) => placeOn(along).point.y));
  const level = near.filter((along) => placeOn(along).point.y < highest + whole / PARTS);
  const off = (along: number) => Math.abs(placeOn(along).point.x - x);
  return least(
    off,
    level.reduce((best, along) => (off(along) < off(best) ? along : best)),
    whole / PARTS,
  );
}

/** Where a measure is least, near a place, found by thirds. */
function least(measure: (at: number) => number, near: number, within: number): number {
  let [low, high] = [near - within, near + within];
  while (high - low > 1e-6) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (measure(a) < measure(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** How far a hand has come where it is farthest from the middle of its stone. */
function tipOf(pointAt: (mm: number) => Vec, reach: number, middle: Vec): number {
  const places = Array.from({ length: PARTS + 1 }, (_, part) => (reach * part) / PARTS);
  const away = (mm: number) => Math.abs(minus(pointAt(mm), middle).x);
  return least(
    (mm) => -away(mm),
    places.reduce((far, mm) => (away(mm) > away(far) ? mm : far)),
    reach / PARTS,
  );
}

/** How far from the tip both rails are so far apart. */
function beginOf(pointAt: (mm: number) => Vec, tip: number, reach: number, apart: number): number {
  const most = Math.min(tip, reach - tip);
  for (let part = 0; part <= PARTS; part += 1) {
    const on = (most * part) / PARTS;
    if (distance(pointAt(tip - on), pointAt(tip + on)) >= apart) return on;
  }
  return most;
}
