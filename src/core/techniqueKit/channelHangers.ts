import { pose } from '../geometry/pose';
import { between3, distance3, minus3, plus3, scaled3, unit3, vec3 } from '../geometry/vec3';
import type { Path, Vec3 } from '../geometry/path';
import type { Bead, Course, PieceWire, Side } from '../piece/piece';
import type { RunWire } from '../piece/run';
import { counted } from '../units/counted';
import type { WireSize } from '../wire/wireSize';
import { bendOf } from '../wrap/winding';

/** What hangs from, and holds, a frame whose two hands turn back at its top and end as spirals under its middle; mm. */
export interface Hangers {
  /** The frame, as it runs; a hand of it has the courses `turn`, `outer` and `spiral`. */
  readonly frame: RunWire;
  readonly thin: WireSize;
  readonly bead: number;
  readonly spacer: number;
  /** Holes of beads and spacers, and of the drop. */
  readonly hole: number;
  readonly drop: { readonly long: number; readonly wide: number; readonly hole: number };
  readonly trim: number;
}

/** Turns of each strand of the dangle on its spiral. */
const TURNS = 2.5;
/** How far below where it is wound on both strands part: a part of how far they part, and spacers. */
const [PARTS, SPACERS] = [1.5, 1.4];
/** Where a spacer lies on its strand: a part of the way from where both part. */
const SPACED = 0.5;
/** A spacer is so much wider than long. */
const WIDER = 1.3;
/** The other hand of the frame, as the first hand of what hangs goes to the right. */
const HAND = { first: 'second', second: 'first' } as const;
const SIDES = ['first', 'second'] as const;

const lineOf = ({ first, second }: RunWire, side: Side, id: string): Path =>
  (side === 'first' ? first : second).find(({ course }) => course?.id === id)?.path ?? [];

/** What a spacer on one strand or leg is called. */
const spacerName = (of: 'dangle' | 'horseshoe', side: Side): string =>
  `${of} spacer ${SIDES.indexOf(side) + 1}`;

const spacerOf = (id: string, { spacer, hole }: Hangers, at?: Vec3): Bead => ({
  kind: 'bead',
  id,
  width: WIDER * spacer,
  length: spacer,
  hole,
  ...(at && { pose: pose(at, vec3(0, -1)) }),
});

/** Where on the line of a spiral its lowest place towards the middle is, and how far along it, mm. */
function lowInside(path: Path): { readonly at: Vec3; readonly on: number } {
  const height = ({ x, y }: Vec3) => y - Math.abs(x);
  const index = path.reduce((best, at, each) => (height(at) > height(path[best] ?? at) ? each : best), 0);
  const on = path.slice(1, index + 1).reduce((sum, at, each) => sum + distance3(path[each] ?? at, at), 0);
  return { at: path[index] ?? vec3(0, 0), on };
}

/**
 * A thin wire doubled through a bead, a spacer and a drop, a spacer on each of its strands, both wound on the spirals of the frame.
 */
export function dangleOf(told: Hangers): { readonly wire: PieceWire; readonly bodies: readonly Bead[] } {
  const { frame, thin, bead, spacer, drop, hole, trim } = told;
  const { thick, pitch } = bendOf(thin);
  const lows = {
    first: lowInside(lineOf(frame, 'second', 'spiral')),
    second: lowInside(lineOf(frame, 'first', 'spiral')),
  };
  const parts = lows.first.at.y + PARTS * Math.abs(lows.first.at.x) + SPACERS * spacer;
  const [dropAt, spacerAt, beadAt] = [
    parts + drop.long / 2,
    parts + drop.long + spacer / 2,
    parts + drop.long + spacer + bead / 2,
  ];
  const upright = (y: number) => pose(vec3(0, y), vec3(0, -1));
  const bodies: readonly Bead[] = [
    { kind: 'bead', id: 'dangle bead', width: bead, length: bead, hole, pose: upright(beadAt) },
    spacerOf('dangle spacer', told, vec3(0, spacerAt)),
    {
      kind: 'bead',
      id: 'dangle drop',
      width: drop.wide,
      length: drop.long,
      hole: drop.hole,
      pose: upright(dropAt),
    },
    ...SIDES.map((side) => spacerOf(spacerName('dangle', side), told)),
  ];
  const hand = (side: Side): readonly Course[] => {
    const way = side === 'first' ? 1 : -1;
    const low = lows[side];
    const begins = vec3((way * thick) / 2, parts);
    const goes = unit3(minus3(low.at, begins));
    const spaced = plus3(between3(begins, low.at, SPACED), scaled3(goes, -spacer / 2));
    return [
      { kind: 'bent', name: 'folded under the bead', about: 0, angle: -90 * way },
      ...['dangle bead', 'dangle spacer', 'dangle drop'].map((id): Course => ({
        kind: 'threaded',
        name: 'up through bead, spacer and drop',
        bead: id,
        aside: (way * thick) / 2,
      })),
      { kind: 'led', name: 'to the spacers', to: pose(spaced, goes) },
      { kind: 'threaded', name: 'through a spacer each', bead: spacerName('dangle', side) },
      {
        kind: 'bound',
        name: `${counted(2 * TURNS, 'turn')} on the spirals`,
        on: [
          {
            wire: frame.wire.id,
            from: { side: HAND[side], endOf: 'outer', on: low.on + (TURNS * pitch) / 2 },
            towards: side,
          },
        ],
        turns: way * TURNS,
      },
    ];
  };
  return {
    bodies,
    wire: {
      id: 'dangle',
      name: 'dangle wire',
      cutFrom: 'wire',
      size: thin,
      start: pose(vec3(0, beadAt + bead / 2 + thick / 2), vec3(1, 0)),
      first: hand('first'),
      second: hand('second'),
      tails: { first: trim, second: trim },
    },
  };
}

/** How high a horseshoe rises over its spacers, as a part of half its width. */
const RISES = 0.42;
/** Its legs stand so far over what they are hooked on, in thicknesses; its hooks go so far round that, degrees, and have so much air. */
const [OVER, HOOKED, HOOK_AIR] = [0.6, 215, 1.04];
const QUARTER = 24;

/** A bail like a horseshoe: a spacer on each leg, hooked from the front over both places where the frame turns back. */
export function horseshoeOf(told: Hangers & { readonly size: WireSize }): {
  readonly wire: PieceWire;
  readonly bodies: readonly Bead[];
} {
  const { frame, size, spacer, trim } = told;
  const D = size.width;
  const top = lineOf(frame, 'second', 'turn').reduce((high, at) => (at.y < high.y ? at : high));
  const [across, off] = [Math.abs(top.x), ((frame.wire.size.width + D) / 2) * HOOK_AIR];
  const shoulder = top.y - OVER * D - spacer;
  const rises = RISES * across;
  const hand = (side: Side): readonly Course[] => {
    const way = side === 'first' ? 1 : -1;
    const line = Array.from({ length: QUARTER + 1 }, (_, step) => {
      const angle = (Math.PI / 2) * (step / QUARTER);
      return vec3(way * across * Math.sin(angle), shoulder - rises * Math.cos(angle), off);
    });
    return [
      { kind: 'free', name: 'horseshoe', line, up: vec3(0, 0, 1) },
      { kind: 'threaded', name: 'through its spacers', bead: spacerName('horseshoe', side) },
      { kind: 'laid', name: 'horseshoe', length: OVER * D },
      { kind: 'bent', name: 'hooked over the frame', about: 2 * off - D, angle: HOOKED, roll: -90 },
    ];
  };
  return {
    bodies: SIDES.map((side) => spacerOf(spacerName('horseshoe', side), told)),
    wire: {
      id: 'horseshoe',
      name: 'bail wire',
      cutFrom: 'base',
      size,
      start: pose(vec3(0, shoulder - rises, off), vec3(1, 0)),
      first: hand('first'),
      second: hand('second'),
      tails: { first: trim, second: trim },
    },
  };
}
