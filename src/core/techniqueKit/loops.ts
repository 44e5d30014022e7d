import type { Course } from '../piece/piece';
import type { FreeEnd } from '../technique/act';
import { ring } from '../geometry/formulas';
import type { WireSize } from '../wire/wireSize';
import { bendOf } from '../wrap/winding';

/** How a loop is turned. */
export interface Loop {
  /** What its term is called. */
  readonly name: string;
  readonly id?: string;
  /** Inside diameter, mm. */
  readonly inside: number;
  readonly size: WireSize;
  /** Which way it goes round, seen from above its plane; to the left when it is not told. */
  readonly way?: 'left' | 'right';
  /** How far its plane is turned about the wire, degrees: 90 stands it across. */
  readonly roll?: number;
}

/** A stem is so many thicknesses longer than what is wound on it. */
const STEM = 1;
/** What is wound down it begins so far below the loop, in thicknesses. */
const BELOW = 0.5;

/** How a wire that comes up to a loop is bent aside, so that the loop sits over it: radians, and the length of that bend, mm. */
function asideFor({ inside, size }: Pick<Loop, 'inside' | 'size'>): {
  readonly angle: number;
  readonly long: number;
} {
  const { thick } = bendOf(size);
  const [sharp, radius] = [thick / 2, (inside + thick) / 2];
  const angle = Math.acos(sharp / (sharp + radius));
  return { angle, long: sharp * angle };
}

/** How far the middle of a loop lies beyond where its wire is bent aside for it, mm. */
export function loopMiddle(loop: Pick<Loop, 'inside' | 'size'>): number {
  const { thick } = bendOf(loop.size);
  return (loop.inside / 2 + thick) * Math.sin(asideFor(loop).angle);
}

const aside = (loop: Loop): Course => ({
  kind: 'bent',
  name: loop.name,
  ...(loop.id === undefined ? {} : { id: loop.id }),
  about: 0,
  angle: (wayOf(loop) * asideFor(loop).angle * 180) / Math.PI,
  roll: loop.roll ?? 0,
});

/** The bend aside goes the other way than the loop. */
const wayOf = ({ way = 'left' }: Loop): 1 | -1 => (way === 'left' ? 1 : -1);

/**
 * A plain loop that sits over the wire it is turned of: bent aside and turned back round the jaws until its end lies beside where it began,
 * π(a + D) all together.
 */
export function plainLoop(loop: Loop): readonly Course[] {
  const { inside, size, name, roll = 0 } = loop;
  const { thick } = bendOf(size);
  const round = ring(inside, thick);
  const turns = (round - asideFor(loop).long) / Math.hypot(round, thick);
  return [
    aside(loop),
    { kind: 'coiled', name, about: inside, turns: -wayOf(loop) * turns, pitch: thick, roll },
  ];
}

/** A loop that is wrapped shut on its own stem. */
export interface WrappedLoop extends Loop {
  /** The hand that makes it. */
  readonly on: FreeEnd;
  /** What its stem and its wraps are called. */
  readonly stem: string;
  readonly wound: string;
  readonly wraps: number;
}

/**
 * A stem, a loop over it that is closed, and wraps down the stem with what is left: n √[(2πD)² + D²].
 */
export function wrappedLoop(loop: WrappedLoop): readonly Course[] {
  const { on, stem, wound, wraps, size, inside, name, roll = 0 } = loop;
  const { thick, pitch } = bendOf(size);
  const id = `${loop.id ?? name} stem`;
  return [
    { kind: 'laid', name: stem, id, length: (wraps + STEM) * pitch },
    aside(loop),
    { kind: 'coiled', name, about: inside, turns: -wayOf(loop), pitch: thick, roll },
    {
      kind: 'wound',
      name: wound,
      on: [
        {
          wire: on.wire,
          from: { side: on.side, endOf: id, on: -BELOW * thick },
          towards: on.side === 'first' ? 'second' : 'first',
        },
      ],
      groups: [{ kind: 'wrap', first: 0, last: 0, wraps }],
      begins: 'back',
    },
  ];
}
