import { counted } from '../../units/counted';
import { alongAtAngle, parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../outline/outlineOf';
import { distance, minus, vec, type Vec } from '../../geometry/vector';
import { ok, refuse } from '../../result';
import { count, length, roundWire, stone, wire } from '../parameter';
import { allRound, helix, moved, setAt, turned } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';
import { twistTakeUp } from '../formulas';

/** Where the lowest and the highest branch reach the frame, degrees from the top. */
const [HIGHEST, LOWEST] = [15, 115];

/** Thin wires folded at the foot of a framed stone, twisted to a trunk and spread over it as branches. */
export const tree = technique({
  id: 'tree',
  title: 'Tree over a stone',
  group: 'holding a stone',
  source:
    'both halves of each wire twisted along trunk and branch, √[1 + (πdT)²]; wraps round the frame at both ends',
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
    const line = parallelOf(outline.value, frame.width / 2);
    const foot = placeAt(line, alongAtAngle(line, 180)).point;
    const crown = vec(foot.x, foot.y - trunk);
    const top = placeAt(line, alongAtAngle(line, 0)).point;
    if (crown.y <= top.y)
      return refuse(
        `A trunk of ${said(trunk)} reaches over the top of the stone; ${said(foot.y - top.y)} is there.`,
      );
    const takeUp = twistTakeUp(thin.width, 1 / lay);
    const wrapped = winding(frameRow(frame, 1), thin, wraps);
    const around = perimeterOf(line);
    const ends = Array.from({ length: branches }, (_, index) => {
      const degrees = HIGHEST + ((LOWEST - HIGHEST) * (index + 0.5)) / branches;
      return placeAt(line, alongAtAngle(line, degrees));
    });
    const twist = (from: Vec, to: Vec) => {
      const way = minus(to, from);
      const long = distance(from, to);
      return (begin: number) =>
        moved(
          turned(helix(0, 0, thin.width / 2, long / lay, lay, begin), Math.atan2(way.y, way.x)),
          from.x,
          from.y,
          held.depth / 2,
        );
    };
    const bound = moved(wrapped.path, -wrapped.along / 2, 0);
    const atFoot = placeAt(line, alongAtAngle(line, 180));
    return ok({
      cuts: ends.map((end, index) => {
        const branch = distance(crown, end.point);
        const drawn = [
          ...(trunk > 0 ? [twist(foot, crown)(0), twist(foot, crown)(Math.PI)] : []),
          twist(crown, end.point)(0),
          twist(crown, end.point)(Math.PI),
          setAt(bound, atFoot),
          setAt(bound, atFoot),
          setAt(bound, end),
          setAt(bound, end),
        ];
        return {
          name: `branch wire ${index + 1}`,
          wire: 'wire',
          count: 2,
          terms: [
            net('trunk, both halves', 2 * trunk * takeUp),
            net('branch, both halves', 2 * branch * takeUp),
            net(`${counted(wraps, 'wrap')} at the foot and at the end, both halves`, 4 * wrapped.length),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            {
              at: tail + 2 * wrapped.length + (trunk + branch) * takeUp,
              what: 'middle: fold it at the foot',
            },
          ],
          drawn,
          places: drawn.map((path) => path.map(({ x, y, z }) => ({ x: -x, y, z }))),
        };
      }),
      steps: [
        { id: 'fold', name: 'fold the wires and wrap them to the foot of the frame', minutes: 2 + branches },
        { id: 'trunk', name: 'twist the trunk, wire after wire', minutes: 4 + branches },
        { id: 'stone', name: 'put the stone behind it', minutes: 1 },
        { id: 'branches', name: 'twist and spread the branches, lowest first', minutes: 4 * branches },
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
      solids: [
        { kind: 'outline', outline: outline.value },
        { kind: 'wire', wire: 'frame', path: allRound(line) },
      ],
      notes: [
        `${counted(2 * branches, 'wire')}; the frame is ${said(around)} round and bought or made apart.`,
      ],
    });
  },
});
