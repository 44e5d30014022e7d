import { counted } from '../../units/counted';
import { alongAtAngle, parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Path } from '../../geometry/path';
import { pose, sideOf, type Pose } from '../../geometry/pose';
import { spaceLine, type SpaceLine } from '../../geometry/spaceLine';
import { scaled3, vec3 } from '../../geometry/vec3';
import { vec, type Vec } from '../../geometry/vector';
import type { Cab, Course, Piece, PieceWire, Side, Wound } from '../../piece/piece';
import { refuse } from '../../result';
import { cutsOfPiece } from '../../technique/ofPiece';
import { laidOn, lyingOn, roundedLine } from '../../techniqueKit/onFace';
import { count, length, roundWire, stone, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** Where the lowest and the highest branch reach the frame, degrees from the top. */
const [HIGHEST, LOWEST] = [15, 115];
/** Room for what a wire winds round the frame, in turns beyond those of its halves. */
const AIR = 4.6;
/** Between neighbours of the trunk, in thicknesses of the wire: two halves that turn about one another, and a hair of air. */
const BESIDE = 2.4;
/** How far before a corner a branch begins to turn, as a part of the trunk. */
const ROUNDED = 0.28;
/** From the frame up to where the trunk stands together, as a part of it. */
const GATHERED = 0.35;
/** How far apart the lowest branch and the highest leave the trunk, as a part of it. */
const SPREAD = 0.3;
/** How far out of the middle of their gap both halves begin to wind, in thicknesses: from their fold, and where they come apart. */
const [FOLDED, APART] = [0.6, 1.2];

/** Between the frame and the stone, and how far in over its edge both halves of a wire come together, in thicknesses of the wire. */
const [PLAY, OVER] = [1.2, 0.6];

/** Up past its own wraps before its halves come together, in thicknesses. */
const RISES = 2;
/** A trunk is longer than this, in thicknesses. */
const LEAST = 8;
/** From one point of a line over the stone to the next, in thicknesses. */
const STEP = 1.3;

/** Why the frame is only sketched where it ends. */
const CLOSED = 'the frame is closed: its ends are one';

const [TRUNK, BRANCH] = ['trunk, both halves', 'branch, both halves'] as const;

/** Thin wires folded at the foot of a framed stone, twisted to a trunk and spread over it as branches. */
export const tree = technique({
  id: 'tree',
  title: 'Tree over a framed stone',
  group: 'holding a stone',
  source:
    'both halves of each wire twisted along trunk and branch, √[1 + (πdT)²], over the dome of the stone, measured; wraps round the frame at both ends',
  parameters: {
    stone: stone('Stone', { outline: 'oval', length: 40, width: 30, depth: 7, edge: 3 }),
    frame: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Branch wire', roundWire(0.3), 'branch'),
    branches: count('Branches to each side', 5, 1, 12),
    trunk: length('Trunk', 14, 0, 150),
    lay: length('Length of one turn of the twist', 3, 0.5, 40),
    wraps: count('Wraps of each half at the foot and at the branch’s end', 4, 1, 30),
    tail: length('Handling tail at each end', 60, 0, 200),
  },
  plan: ({ stone: held, frame, wire: thin, branches, trunk, lay, wraps, tail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const [D, d] = [frame.width, thin.width];
    // Its wraps pass between the frame and the stone.
    const line = parallelOf(outline.value, D / 2 + PLAY * d);
    const around = perimeterOf(line);
    const footAt = alongAtAngle(line, 180);
    const foot = placeAt(line, footAt).point;
    const top = placeAt(line, alongAtAngle(line, 0)).point;
    if (foot.y - trunk <= top.y)
      return refuse(
        `A trunk of ${said(trunk)} reaches over the top of the stone; ${said(foot.y - top.y)} is there.`,
      );
    const band = (2 * wraps + AIR) * d;
    if (2 * branches * band > 0.42 * around)
      return refuse(
        `${counted(2 * branches, 'wire')} take ${said(2 * branches * band)} of the frame at its foot, each ${said(band)}; ${said(0.42 * around)} of it are free there.`,
      );
    const stoneAt: Cab = { kind: 'cab', id: 'stone', size: held, pose: pose(vec3(0, 0), vec3(1, 0)) };
    const middle = held.edge / 2;
    const heightAt = lyingOn(stoneAt, 1.05 * d, middle + D / 2 + 1.5 * d);
    /** The place on the edge of the stone that is nearest to one on the frame. */
    const onEdge = (along: number): Vec => {
      const { point, direction } = placeAt(line, along);
      const inward = D / 2 + (PLAY + OVER) * d;
      return vec(point.x - direction.y * inward, point.y + direction.x * inward);
    };
    /** Where a branch ends on the frame, a part of the way from the lowest to the highest place of a side. */
    const placesOf = (way: -1 | 1) =>
      [LOWEST, HIGHEST].map((degrees) => alongAtAngle(line, way > 0 ? degrees : 360 - degrees)) as [
        number,
        number,
      ];
    const places = { [-1]: placesOf(-1), 1: placesOf(1) };
    const endOf = (way: -1 | 1, part: number): number => {
      const [low, high] = places[way];
      return low + (high - low) * part;
    };
    /** A wire of the tree: to the left or the right, the lowest branch first; it stands outermost in the trunk. */
    const wireOf = (way: -1 | 1, index: number): PieceWire => {
      const place = branches - 0.5 - index;
      const begin = footAt - way * place * band;
      const end = endOf(way, (index + 0.5) / branches);
      const [from, to] = [begin, end].map(onEdge) as [Vec, Vec];
      const beside = way * place * BESIDE * d;
      const leaves = foot.y - trunk * (1 - SPREAD * (1 - (index + 0.5) / branches));
      // What is hardly there is no trunk: the branches set out from the foot.
      const gathered = vec(beside, foot.y - GATHERED * trunk * (0.5 + (0.5 * place) / branches));
      const trunkLine = trunk > LEAST * d ? [gathered, vec(beside, leaves)] : [];
      const corners = [from, ...trunkLine, to];
      const rounded = laidOn(roundedLine(corners, ROUNDED * trunk, STEP * d), heightAt);
      // The trunk ends where its wire leaves it.
      const parting = rounded.findIndex(({ y }) => y <= leaves);
      const parted = Math.min(Math.max(1, parting), rounded.length - 2);
      const [standing, branch] = [rounded.slice(0, parted + 1), rounded.slice(parted)];
      const hand = (side: Side): readonly Course[] => {
        const sense = side === 'first' ? 1 : -1;
        const wound = (from: number, does: Pick<Wound, 'begins' | 'skips' | 'halves' | 'taut'>): Course => ({
          kind: 'wound',
          name: `${counted(wraps, 'wrap')} at the foot and at the end, each half`,
          on: [{ wire: 'frame', from, towards: side }],
          groups: [{ kind: 'wrap', first: 0, last: 0, wraps: wraps + 1 }],
          ...does,
        });
        const isFirst = side === 'first';
        return [
          // From its fold outside of the frame it goes behind it first, and comes up inside.
          wound(begin + sense * FOLDED * d, {
            begins: isFirst ? 'back' : 'front',
            skips: isFirst ? 0 : 1,
            halves: 2 * wraps + 1,
          }),
          { kind: 'laid', name: TRUNK, length: RISES * d },
          ...twistedAlong([standing, branch], isFirst ? 0 : 1, lay),
          // Down inside of the frame, and behind it first.
          wound(end + sense * APART * d, {
            begins: isFirst ? 'front' : 'back',
            skips: isFirst ? 1 : 0,
            halves: 2 * wraps,
            taut: BRANCH,
          }),
        ];
      };
      return {
        id: `branch ${way} ${index}`,
        name: `branch wire ${index + 1}`,
        cutFrom: 'wire',
        size: thin,
        first: hand('first'),
        second: hand('second'),
        tails: { first: tail, second: tail },
      };
    };
    const wires = Array.from({ length: branches }, (_, index) => [
      wireOf(1, index),
      wireOf(-1, index),
    ]).flat();
    const piece: Piece = {
      bodies: [stoneAt],
      wires: [
        {
          id: 'frame',
          name: 'frame wire',
          cutFrom: 'frame',
          size: frame,
          first: [
            {
              kind: 'round',
              name: 'round the stone',
              body: 'stone',
              from: 0,
              to: 360,
              play: PLAY * d,
              sketched: CLOSED,
              height: middle,
            },
          ],
          second: [],
          tails: { first: 0, second: 0 },
        },
        ...wires,
      ],
    };
    const cut = cutsOfPiece(piece, {
      given: ['frame'],
      middle: 'middle: fold it at the foot',
      tails: 'handling tails',
    });
    if (!cut.ok) return cut;
    return {
      ...cut.value,
      steps: [
        {
          id: 'fold',
          name: 'fold the wires and wrap them to the foot of the frame',
          minutes: 2 + branches,
        },
        {
          id: 'trunk',
          makes: [TRUNK],
          name: 'twist the trunk, wire after wire',
          minutes: 4 + branches,
        },
        { id: 'stone', makes: ['stone'], name: 'put the stone behind it', minutes: 1 },
        {
          id: 'branches',
          makes: [BRANCH],
          name: 'twist and spread the branches, lowest first',
          minutes: 4 * branches,
        },
        {
          id: 'tuck',
          name: 'wrap every branch to the frame, trim and tuck',
          minutes: 3 * branches,
          cautions: ['cut ends', 'piercing'],
        },
      ],
      order: [
        { first: 'trunk', then: 'branches', why: 'the branches come out of the twisted trunk' },
        {
          first: 'stone',
          then: 'tuck',
          why: 'the stone does not pass a frame that the branches have closed',
        },
      ],
      notes: [
        `${counted(2 * branches, 'wire')}; the frame is ${said(around)} round and bought or made apart.`,
      ],
    };
  },
});

/** Both halves of a wire turned about one another along trunk and branch: this half of them. */
function twistedAlong([standing, branch]: readonly [Path, Path], strand: 0 | 1, lay: number): Course[] {
  // At the foot the first half lies to the left, on the side that it was wound to, and at its end to the right.
  const begin = spaceLine(standing).at(0);
  const axis = { ...begin, up: scaled3(sideOf(begin), -1) };
  const first = spaceLine(standing, axis.up);
  const last = first.at(first.length);
  const second = spaceLine(branch, last.up);
  const along = (line: SpaceLine, turns: number, name: string, begins: Pose): Course => ({
    kind: 'twisted',
    ...(name === TRUNK ? { taut: name } : {}),
    name,
    axis: begins,
    line: line.points,
    strands: 2,
    strand,
    along: line.length,
    turns,
  });
  // Whole turns of the trunk, so that the branch goes on from it.
  const whole = Math.max(1, Math.round(first.length / lay));
  return [
    along(first, whole, TRUNK, axis),
    along(second, Math.max(0, Math.round(second.length / lay - 0.5)) + 0.5, BRANCH, last),
  ];
}
