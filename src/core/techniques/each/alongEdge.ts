import { vec3 } from '../../geometry/vec3';
import { ok, refuse } from '../../result';
import { choice, length, roundWire, stone, wire } from '../../parameter/parameter';
import { pose } from '../../geometry/pose';
import { actTechnique } from '../../technique/planActs';
import { standing, STANDS } from '../../techniqueKit/standing';
import { said } from '../../technique/technique';

/** Points of the way along the edge to each mm. */
const POINTS = 2;
/** A hook goes on straight behind so far, in thicknesses. */
const BEHIND = 2;

/** An end that lies along the edge of a stone, beside its frame, from beside the foot up; what is wound on it lies there, too. */
export const alongEdge = actTechnique({
  id: 'along-edge',
  title: 'End along the edge of a stone',
  group: 'holding a stone',
  source: 'along the parallel curve of the outline, a half turn of π(a + D)/2 to the back: plane geometry',
  parameters: {
    stone: stone('Stone', { outline: 'marquise', length: 24, width: 12, depth: 5, edge: 2 }),
    stands: STANDS,
    wire: wire('Wire', roundWire(0.812), 'frame'),
    side: choice('On which side', ['left', 'right'], 'left'),
    from: length('From the foot, along the edge', 3, 0, 200),
    to: length('As far as from the foot, along the edge', 26, 1, 300),
    off: length('Off the edge of the stone', 3, 0, 20),
    over: length('Over its back', 1, 0, 20),
    hook: length('Hooked under at the back, about', 1, 0, 20),
    tail: length('Handling tail at each end', 15, 0, 200),
  },
  ports: {
    end: {
      label: 'End that lies along it',
      does: 'run along the edge of the stone',
      takes: ['end'],
      from: 1,
      to: 1,
      wire: 'wire',
      freshOnly: ['wire'],
      fresh: ({ stone: held, stands, side, from, off, over, tail }) => ({
        count: 1,
        name: 'wire',
        tail,
        start: () => {
          const stood = standing(held, stands, off);
          if (!stood.ok) return pose(vec3(0, 0), vec3(1, 0));
          const way = side === 'left' ? 1 : -1;
          const { point, direction } = stood.value.placeOn(stood.value.footAt + way * from);
          return pose(vec3(point.x, point.y, over), vec3(way * direction.x, way * direction.y));
        },
      }),
    },
  },
  act: ({ stone: held, stands, wire: size, side, from, to, off, over, hook, tail }, { ends, own }) => {
    const stood = standing(held, stands, off);
    if (!stood.ok) return stood;
    const { whole, footAt, placeOn } = stood.value;
    if (to <= from || to > whole / 2)
      return refuse(
        `From ${said(from)} as far as ${said(to)} is no way up one side, which is ${said(whole / 2)} long; it goes on from where it begins, as far as the top at most.`,
      );
    const way = side === 'left' ? 1 : -1;
    const steps = Math.ceil((to - from) * POINTS);
    const line = Array.from({ length: steps + 1 }, (_, step) => {
      const { point } = placeOn(footAt + way * (from + ((to - from) * step) / steps));
      return vec3(point.x, point.y, over);
    });
    const laid = ends('end');
    return ok({
      goesOn: laid.map((end) => ({
        end,
        courses: [
          { kind: 'free', name: 'along the edge of the stone', id: own('along'), line, up: vec3(0, 0, 1) },
          { kind: 'bent', name: 'hooked under at the back', about: hook, angle: 180, roll: -90 },
          { kind: 'laid', name: 'hooked under at the back', length: BEHIND * size.width },
        ],
        tail,
      })),
      leaves: laid.map(({ wire: id, label, side: hand }) => ({
        id: 'end',
        label: `${label}, at the back`,
        takes: 'end',
        wire: id,
        side: hand,
      })),
      steps: [
        {
          id: 'bend',
          makes: ['along the edge of the stone'],
          name: `bend it up the ${side} side`,
          minutes: 2,
        },
        {
          id: 'hook',
          makes: ['hooked under at the back'],
          name: 'trim it, and hook it under at the back',
          minutes: 1.5,
          cautions: ['cut ends'],
        },
      ],
      order: [{ first: 'bend', then: 'hook', why: 'it is bent up the side before it is cut' }],
    });
  },
});
