import { radians } from '../../geometry/angle';
import { lengthOfPath, type Path } from '../../geometry/path';
import { inPose, pose, smoothWay, type Pose } from '../../geometry/pose';
import { spaceLine } from '../../geometry/spaceLine';
import { minus3, scaled3, vec3 } from '../../geometry/vec3';
import { plus, scaled, vec, type Vec } from '../../geometry/vector';
import { alongAtAngle, parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Cab, Course, Piece, PieceWire, Side } from '../../piece/piece';
import { refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { laidOn, lyingBehind, lyingOn, roundedLine } from '../../techniqueKit/onFace';
import { count, length, roundWire, stone, wire } from '../../parameter/parameter';
import { PRESSED, ropeBail, ropeThick, strandOf, type Rope } from '../../techniqueKit/rope';
import { said, technique } from '../../technique/technique';

/** Where the lowest and the highest branch reach the edge, and where what runs along it leaves it for the rope, degrees from the top. */
const [LOWEST, HIGHEST, TOP] = [102, 28, 9];
/** How far up the stone the highest branch leaves the trunk, as a part of the stone over the lowest one. */
const CROWN = 0.55;
/** From the top of the stone up to the rope, in thicknesses of the rope. */
const GATHERED = 1.6;
/** How far apart the outermost roots spread, degrees from straight down. */
const SPREAD = 68;
/** From the edge of the stone to what runs along it, in thicknesses of a strand. */
const PLAY = 0.2;
/** A branch keeps this far from trunk and edge where it is one by itself, in thicknesses. */
const CLEAR = 0.8;
/** How far out and how far up a branch bends from rising steeply to where it goes. */
const BEND = { out: 0.42, up: 0.3 } as const;
/** How far before its bend a branch begins to turn, as a part of how far it goes out. */
const ROUNDED = 0.3;
/** How long strands take to move where others come or leave, in thicknesses. */
const SETTLES = 5;
/** From one point of a line over the stone to the next, in thicknesses. */
const STEP = 1.3;

/** Why roots are only sketched. */
const LOOSE = 'roots are left loose and bent as one likes';

const [ROOT, TRUNK, EDGE, ROPE] = [
  'loose, as roots',
  'trunk, twisted with all others',
  'along the edge, twisted with those below it',
  'rope of all strands: neck, loop and wraps',
] as const;
const BRANCH = { first: 'branch over the face', second: 'branch behind' } as const;

type Way = -1 | 1;

/** Two lines and the smooth way from the one to the other. */
function joined(from: Path, to: Path): Path {
  const [before, end] = from.slice(-2) as [Path[0], Path[0]];
  const [begin, after] = to as [Path[0], Path[0]];
  const leaves = pose(end, minus3(end, before));
  const comes = pose(begin, minus3(after, begin));
  return [...from, ...smoothWay(leaves, comes).slice(1, -1), ...to];
}

/**
 * Wires alike, twisted together beside their middles; over both faces of a stone they are a trunk that parts into branches; those of both faces are
 * twisted together along its edges, and all of them to a rope over its top, which is the bail.
 */
export const treeWithoutFrame = technique({
  id: 'tree-without-frame',
  title: 'Tree that holds its stone',
  group: 'holding a stone',
  source:
    'strands of a rope lie in rings and turn about its middle; branches lie on the dome of the stone, measured along each',
  parameters: {
    stone: stone('Stone', { outline: 'oval', length: 34, width: 26, depth: 6.5, edge: 3 }),
    wire: wire('Tree wire', roundWire(0.3), 'branch'),
    branches: count(
      'Branches to each side, on each face',
      5,
      2,
      9,
      'One wire is a branch of both faces: five to each side are ten wires',
    ),
    trunk: length('From the foot to the lowest branch', 11, 1, 100),
    roots: length('Roots hang below the foot', 7, 1, 40),
    lay: length('Length of one turn of a rope', 7, 1, 60),
    loop: length('Hanging loop, inside', 4, 1, 20),
    wraps: count('Wraps of the rope below the loop', 2, 1, 10),
    tail: length('Handling tail at each end', 40, 0, 150),
  },
  plan: ({ stone: held, wire: size, branches, trunk, roots, lay, loop, wraps, tail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const d = size.width;
    const wires = 2 * branches;
    const [trunkThick, ropeIs] = [ropeThick(wires, d), ropeThick(2 * wires, d)];
    const edgeOff = trunkThick / 2 + PLAY * d;
    const line = parallelOf(outline.value, edgeOff);
    const placeOf = (way: Way, degrees: number) => alongAtAngle(line, way > 0 ? degrees : 360 - degrees);
    const [foot, top] = [180, 0].map(
      (degrees) => placeAt(outline.value, alongAtAngle(outline.value, degrees)).point,
    ) as [Vec, Vec];
    const high = foot.y - top.y;
    const crown = trunk + (high - trunk) * CROWN;
    if (trunk > 0.6 * high)
      return refuse(
        `A trunk of ${said(trunk)} leaves its branches too little of a stone that is ${said(high)} high; ${said(0.6 * high)} is the most.`,
      );
    const settles = SETTLES * d;
    const [leaving, coming] = [
      (crown - trunk) / branches,
      (perimeterOf(line) * (LOWEST - HIGHEST)) / 360 / branches,
    ];
    if (Math.min(leaving, coming) < settles)
      return refuse(
        `${counted(branches, 'branch', 'branches')} to each side leave the trunk ${said(leaving)} and reach the edge ${said(coming)} apart; ${said(size.width)} wire needs ${said(settles)}.`,
      );
    const stoneAt: Cab = { kind: 'cab', id: 'stone', size: held, pose: pose(vec3(0, 0), vec3(1, 0)) };
    const middle = held.edge / 2;
    const beside = { first: middle + trunkThick * 0.6, second: middle - trunkThick * 0.6 } as const;
    const lying = (radius: number) => ({
      first: lyingOn(stoneAt, radius, beside.first),
      second: lyingBehind(stoneAt, radius, beside.second),
    });
    const [ropeLies, wireLies] = [lying(trunkThick / 2), lying(d / 2)];
    const all = Array.from({ length: wires }, (_, index) => ({
      way: (index < branches ? -1 : 1) as Way,
      level: index < branches ? index : wires - 1 - index,
    }));
    const nameOf = (way: Way, level: number) => `${way} ${level}`;
    const leavesAt = (level: number) => trunk + leaving * level;

    /** The trunk on a face: strands leave it one level after the other. */
    const trunkOn = (side: Side): Rope => {
      const begins = foot.y + trunkThick;
      const points = roundedLine([vec(0, begins), vec(0, foot.y - crown)], 0, STEP * d);
      return {
        line: spaceLine(laidOn(points, ropeLies[side])),
        thick: d,
        lay,
        settles,
        stages: Array.from({ length: branches }, (_, level) => ({
          at: level === 0 ? 0 : onTrunk(level - 1) + settles / 2,
          strands: all.filter((each) => each.level >= level).map((each) => nameOf(each.way, each.level)),
        })),
      };
    };
    /** How far along the line of a trunk a level leaves it, about: it rises over the edge of the stone first. */
    const onTrunk = (level: number) => leavesAt(level) + trunkThick;
    const trunks = { first: trunkOn('first'), second: trunkOn('second') };

    /** What runs up one edge: both ends of each branch come to it, the lowest first. */
    const edgeOf = (way: Way) => {
      const [from, to] = [placeOf(way, LOWEST), placeOf(way, TOP)];
      const long = Math.abs(to - from);
      const steps = 96;
      const points = Array.from({ length: steps + 1 }, (_, step) => {
        const { point } = placeAt(line, from + ((to - from) * step) / steps);
        return vec3(point.x, point.y, middle);
      });
      const comesAt = (level: number) => (Math.abs(placeOf(way, HIGHEST) - from) * (level + 0.2)) / branches;
      const rope: Rope = {
        line: spaceLine(points),
        thick: d,
        lay,
        settles,
        stages: Array.from({ length: branches }, (_, level) => ({
          at: comesAt(level) - settles / 2,
          strands: all
            .filter((each) => each.way === way && each.level <= level)
            .flatMap((each) => [`${each.level} first`, `${each.level} second`]),
        })),
      };
      /** A place in the plane beside it, from where a branch comes to it. */
      const besideAt = (level: number): Vec => {
        const back = placeAt(line, from + Math.sign(to - from) * (comesAt(level) - settles / 2));
        const inward = edgeOff + CLEAR * d;
        return vec(back.point.x - back.direction.y * inward, back.point.y + back.direction.x * inward);
      };
      return { rope, long, comesAt, besideAt };
    };
    const edges = { [-1]: edgeOf(-1), 1: edgeOf(1) };

    const begin = pose(vec3(0, top.y - edgeOff - GATHERED * ropeIs, middle), vec3(0, -1), vec3(1, 0));
    const bail = ropeBail(ropeIs, begin, (wraps + 2) * ropeIs, loop, wraps);
    if (!bail.ok) return bail;
    const mainRope: Rope = {
      line: spaceLine(bail.value.path, begin.up),
      thick: d,
      lay,
      settles,
      stages: [
        {
          at: 0,
          strands: ([-1, 1] as const).flatMap((way) =>
            Array.from({ length: branches }, (_, level) => [
              `${way} ${level} first`,
              `${way} ${level} second`,
            ]).flat(),
          ),
        },
      ],
    };

    const branchOf = (way: Way, level: number, side: Side): Path => {
      const ends = edges[way].besideAt(level);
      const begins = vec(way * (trunkThick / 2 + CLEAR * d), foot.y - leavesAt(level));
      const across = { x: ends.x - begins.x, y: ends.y - begins.y };
      const bend = plus(begins, vec(across.x * BEND.out, across.y * BEND.up));
      return laidOn(
        roundedLine([begins, bend, ends], ROUNDED * Math.abs(across.x), STEP * d),
        wireLies[side],
      );
    };
    const hand = (way: Way, level: number, side: Side, tip: Pose): readonly Course[] => {
      const strand = nameOf(way, level);
      const trunkLine = strandOf(trunks[side], strand, 0, onTrunk(level) - settles / 2);
      const root = joined([tip.at, inPose(tip, 0.1 * d, 0, 0)], trunkLine.slice(0, 2)).slice(0, -1);
      const branch = branchOf(way, level, side);
      const outOfTrunk = joined(trunkLine, branch.slice(0, 2)).slice(0, -1);
      const { rope, long, comesAt } = edges[way];
      const edge = strandOf(rope, `${level} ${side}`, comesAt(level), long);
      const alongEdge = joined(branch.slice(-2), edge).slice(1);
      const main = strandOf(mainRope, `${way} ${level} ${side}`, 0, bail.value.long);
      const overTop = joined(edge.slice(-2), main).slice(1);
      const free = (name: string, path: Path, sketched?: string): Course => ({
        kind: 'free',
        name,
        line: path,
        up: vec3(0, 0, 1),
        ...(sketched === undefined ? {} : { sketched }),
      });
      return [
        free(ROOT, root, LOOSE),
        free(TRUNK, outOfTrunk, PRESSED),
        free(BRANCH[side], branch),
        free(EDGE, alongEdge, PRESSED),
        free(ROPE, overTop, PRESSED),
      ];
    };
    const made = all.map(({ way, level }, index): PieceWire => {
      const turned = radians(SPREAD * ((2 * (index + 0.5)) / wires - 1));
      const hangs = scaled(vec(Math.sin(turned), Math.cos(turned)), roots);
      const tip = pose(vec3(hangs.x, foot.y + hangs.y, middle), vec3(0, 0, 1), vec3(0, -1));
      return {
        id: `wire ${index + 1}`,
        name: 'tree wire',
        cutFrom: 'wire',
        size,
        start: tip,
        first: hand(way, level, 'first', tip),
        second: hand(way, level, 'second', { ...tip, along: scaled3(tip.along, -1) }),
        tails: { first: tail, second: tail },
      };
    });
    const netOfHand = (courses: readonly Course[]) =>
      courses.reduce((sum, each) => sum + (each.kind === 'free' ? lengthOfPath(each.line) : 0), 0);
    // All are cut alike, as long as the longest: what the others have over is trimmed at the loop.
    const longest = {
      first: Math.max(...made.map(({ first }) => netOfHand(first))),
      second: Math.max(...made.map(({ second }) => netOfHand(second))),
    };
    const piece: Piece = {
      bodies: [stoneAt],
      wires: made.map((each) => ({
        ...each,
        tails: {
          first: tail + longest.first - netOfHand(each.first),
          second: tail + longest.second - netOfHand(each.second),
        },
      })),
    };
    const cut = cutsOfPiece(piece, { middle: 'middle: the tip of its root' });
    if (!cut.ok) return cut;
    return {
      ...cut.value,
      steps: [
        {
          id: 'trunk',
          name: `lay ${counted(wires, 'wire')} side by side and twist them together beside their middle`,
          minutes: 4,
        },
        {
          id: 'roots',
          makes: [ROOT, TRUNK],
          name: 'leave the roots loose, and twist all of them again behind, in the same sense',
          minutes: 4,
        },
        {
          id: 'stone',
          makes: ['stone'],
          name: 'set the stone on its roots, a trunk on each face',
          minutes: 1,
        },
        {
          id: 'branches',
          makes: [BRANCH.first, BRANCH.second],
          name: 'untwist branches strand by strand, the lowest first, on one face and the other',
          minutes: 3 * wires,
        },
        {
          id: 'edges',
          makes: [EDGE],
          name: 'twist those of both faces together upward along both edges, each taking in the next',
          minutes: 2 * wires,
          cautions: ['gripping'],
        },
        { id: 'rope', makes: [ROPE], name: 'twist all strands together over the top', minutes: 3 },
        { id: 'loop', name: 'turn a loop of the rope', minutes: 2 },
        { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
        {
          id: 'shut',
          name: 'wind the rope below its loop, trim and tuck',
          minutes: 3,
          cautions: ['cut ends'],
        },
        { id: 'alive', name: 'bend roots, trunk and branches alive', minutes: 5 },
      ],
      order: [
        { first: 'trunk', then: 'roots', why: 'the roots are what lies between both trunks' },
        { first: 'stone', then: 'edges', why: 'the stone does not pass edges that are twisted shut' },
        {
          first: 'branches',
          then: 'edges',
          why: 'the lowest branches begin the edge, the others are taken in',
        },
        { first: 'hang', then: 'shut', why: 'nothing can be hung in a loop that is wound shut' },
      ],
    };
  },
});
