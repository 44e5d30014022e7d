import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { minus, outward, plus, scaled, vec } from '../../geometry/vector';
import type { Course } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { length, roundWire, stone, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { standing, STANDS } from '../../techniqueKit/standing';
import { said } from '../../technique/technique';

/** Where ends that are cut afresh come from: so far over the stone, in thicknesses. */
const OVER = 2;
/** How far inside of its edge an end lies flat behind the stone, at the top and at the foot, in thicknesses. */
const [TOP, FOOT] = [2.5, 1.4];
/** Air behind the stone, and between ends that cross there, as a part of their thickness. */
const HAIR = 0.06;
/** Where an end comes to the wire under which it goes out, degrees from its front over the stone, and how far it goes round it, turns. */
const [BEGINS, ROUND] = [152, 0.28];
/** Over which part of its way an end comes in from behind the frame to the back of the stone. */
const IN = 0.3;
/** An end goes on along the edge so far where it has come out, in thicknesses. */
const CLEAR = 1.6;
/** Points of a way behind the stone, and of one along its edge. */
const POINTS = 24;

/** Two ends that cross to the other side behind a stone, and come out to the front beside its foot. */
export const crossedBehind = actTechnique({
  id: 'crossed-behind',
  title: 'Ends crossed behind a stone',
  group: 'holding a stone',
  source: 'straight behind the flat back, one over the other, and out beside the foot, measured as they lie',
  parameters: {
    stone: stone('Stone', { outline: 'marquise', length: 24, width: 12, depth: 5, edge: 2 }),
    stands: STANDS,
    wire: wire('Wire', roundWire(0.812), 'frame'),
    gap: length('Gaps in the weave, each so far from the foot', 3, 0, 60),
    off: length('Come out so far off the edge of the stone', 3, 0, 20),
    tail: length('Handling tail at each end', 30, 0, 200),
  },
  ports: {
    ends: {
      label: 'The left end and the right end',
      does: 'cross behind the stone',
      takes: ['end'],
      from: 2,
      to: 2,
      wire: 'wire',
      freshOnly: ['wire'],
      fresh: ({ stone: held, tail }) => ({
        count: 2,
        name: 'crossed wire',
        tail,
        start: (index, { width }) =>
          pose(vec3((index - 0.5) * width, -held.length / 2 - OVER * width), vec3(0, -1)),
      }),
    },
  },
  act: ({ stone: held, stands, wire: size, gap, off, tail }, { ends, own }) => {
    const D = size.width;
    const stood = standing(held, stands, 0);
    if (!stood.ok) return stood;
    const away = standing(held, stands, off);
    if (!away.ok) return away;
    const { whole, footAt, placeOn } = stood.value;
    if (gap > whole / 4)
      return refuse(
        `Gaps ${said(gap)} from the foot lie beside the stone, which is ${said(whole)} round; ${said(whole / 4)} is the most.`,
      );
    const top = placeOn(footAt + whole / 2).point;
    const crossing = ends('ends');
    const [one, other] = crossing;
    const isOneWire = one?.wire === other?.wire;
    /** From the foot on, clockwise, is to the left: the end from the left comes out to the right. */
    const coursesOf = (index: number): readonly Course[] => {
      const way = index === 0 ? -1 : 1;
      const at = placeOn(footAt + way * gap);
      const inward = scaled(outward(at.direction), -1);
      const from = vec(way * D, top.y + TOP * D);
      const to = plus(at.point, scaled(inward, FOOT * D));
      const behind = -(0.5 + index * (1 + HAIR) + HAIR) * D;
      const [first, last] = [from, to];
      const line = Array.from({ length: POINTS + 1 }, (_, step) => {
        const on = plus(first, scaled(minus(last, first), step / POINTS));
        return vec3(on.x, on.y, behind - D * Math.max(0, 1 - step / (IN * POINTS)));
      });
      // Clear of the frame and of its own bend, where what is wound on it from there on begins.
      const alongAt = (on: number) => away.value.placeOn(away.value.footAt + way * on);
      const edge = Array.from({ length: POINTS + 1 }, (_, step) => {
        const { point } = alongAt(gap + off + (CLEAR * D * step) / POINTS);
        return vec3(point.x, point.y, held.edge / 2);
      });
      const { point, direction } = alongAt(gap + off);
      return [
        { kind: 'free', name: 'across behind the stone', line, up: vec3(0, 0, 1) },
        ...(isOneWire && one
          ? [
              {
                kind: 'bound',
                name: 'out to the front beside the foot',
                on: [{ wire: one.wire, from: way * gap, towards: way > 0 ? 'first' : 'second' }],
                // From behind, inside of it, under it and out.
                begin: way > 0 ? BEGINS : 360 - BEGINS,
                turns: way * ROUND,
                long: HAIR * D,
              } as const,
            ]
          : []),
        {
          kind: 'led',
          name: 'out to the front beside the foot',
          id: own('out'),
          to: pose(vec3(point.x, point.y, held.edge / 2), vec3(way * direction.x, way * direction.y)),
        },
        {
          kind: 'free',
          name: 'out to the front beside the foot',
          line: edge,
          up: vec3(0, 0, 1),
        },
      ];
    };
    return ok({
      goesOn: crossing.map((end, index) => ({ end, courses: coursesOf(index), tail })),
      leaves: crossing.map(({ wire: id, side, label }, index) => ({
        id: index === 0 ? 'left' : 'right',
        label: `${label}, come out to the ${index === 0 ? 'right' : 'left'}`,
        takes: 'end',
        wire: id,
        side,
      })),
      marked: crossing.map(({ wire: id, side }) => ({
        wire: id,
        side,
        at: own('out'),
        what: 'out through the weave beside the foot',
      })),
      notes: [
        `Along the edge they have come ${said(gap + off + CLEAR * D)} from the foot, ${said(off)} off it and ${said(held.edge / 2)} over its back.`,
      ],
      steps: [
        { id: 'try', name: 'try the opening against the stone', minutes: 1 },
        {
          id: 'cross',
          makes: ['across behind the stone'],
          name: 'cross the ends to the other side, to the back',
          minutes: 2,
        },
        {
          id: 'gaps',
          name: 'open a gap in the weave on each side of the foot with a pick',
          minutes: 1,
          cautions: ['piercing'],
        },
        {
          id: 'out',
          makes: ['out to the front beside the foot'],
          name: 'bring each end out to the front through the gap on its side',
          minutes: 2,
        },
        { id: 'tight', name: 'set the stone in, and pull both tight', minutes: 2 },
        { id: 'kink', name: 'kink them behind when the stone is not tight', minutes: 1 },
      ],
      order: [
        { first: 'try', then: 'cross', why: 'the opening is changed while nothing lies across it' },
        { first: 'out', then: 'tight', why: 'what is not through cannot be pulled' },
      ],
    });
  },
});
