import { counted } from '../../units/counted';
import { parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../outline/outlineOf';
import { outward, plus, scaled } from '../../geometry/vector';
import { ok, refuse } from '../../result';
import { ring } from '../formulas';
import { count, length, roundWire, stone, wire } from '../parameter';
import { bow, moved, partRound, setAt } from '../shapes';
import { allowance, evenHolds, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';

/** Two wires with loops at even distances, one for each side of a stone, lashed together with thin wire. */
export const loopedBezel = technique({
  id: 'looped-bezel',
  title: 'Looped bezel, lashed',
  group: 'holding a stone',
  source:
    'half of the outline’s perimeter + πD for each wire, a loop π(a + D) at every distance: plane geometry',
  parameters: {
    stone: stone('Stone', { outline: 'oval', length: 30, width: 22, depth: 7, edge: 3 }),
    wire: wire('Bezel wire', roundWire(1.291), 'loop bezel'),
    loop: length('Loop, inside', 2, 0.5, 20),
    apart: length('Loops apart, along the edge', 13, 3, 60),
    lashing: wire('Lashing wire', roundWire(0.405), 'weaving'),
    wraps: count('Wraps at each lash', 8, 1, 40),
    tail: length('Handling tail at each end of a bezel wire', 12, 0, 100),
    lashingTail: length('Tail at each end of the lashing wire', 60, 0, 200),
  },
  plan: ({ stone: held, wire: bezel, loop, apart, lashing, wraps, tail, lashingTail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const D = bezel.width;
    const line = parallelOf(outline.value, D / 2);
    const side = perimeterOf(line) / 2;
    const loops = Math.max(1, Math.round(side / apart));
    const radius = (loop + D) / 2;
    const lashed = winding(frameRow(bezel, 2), lashing, wraps);
    // One lash at every loop and one at each end, where the two wires meet.
    const lashes = 2 * loops + 2;
    const between = (2 * side) / lashes;
    const step = side / loops;
    const across = loop + 2 * D;
    // Along the edge, where they are turned: they stand off it only later, when they are pushed over the shoulder.
    if (loops > 1 && step < across)
      return refuse(
        `Loops of ${said(across)} across lie over one another when they stand ${said(step)} apart; give ${said(across)} or more.`,
      );
    if (across > side)
      return refuse(
        `A loop of ${said(across)} across is more than half of the way round the stone, ${said(side)}.`,
      );
    const circles = Array.from({ length: loops }, (_, index) => {
      const { point, direction } = placeAt(line, step * (index + 0.5));
      const centre = plus(point, scaled(outward(direction), radius));
      return bow(centre.x, centre.y, radius, Math.atan2(direction.x, -direction.y), 2 * Math.PI);
    });
    const each = ring(loop, D);
    return ok({
      cuts: [
        {
          name: 'bezel wire',
          wire: 'wire',
          count: 2,
          terms: [
            net('along its side of the stone', side),
            net(counted(loops, 'loop'), loops * each),
            allowance('handling tails', 2 * tail),
          ],
          marks: Array.from({ length: loops }, (_, index) => ({
            at: tail + step * (index + 0.5) + each * (index + 0.5),
            what: `loop ${index + 1}`,
          })),
          drawn: [partRound(line, 0, side), ...circles],
          places: [
            partRound(line, side, 2 * side),
            ...circles.map((path) => path.map(({ x, y, z }) => ({ x: -x, y, z }))),
          ],
        },
        {
          name: 'lashing wire',
          wire: 'lashing',
          count: 1,
          terms: [
            net(`${counted(lashes, 'lash', 'lashes')} of ${counted(wraps, 'wrap')}`, lashes * lashed.length),
            net('from lash to lash', (lashes - 1) * between),
            allowance('tails', 2 * lashingTail),
          ],
          marks: [{ at: lashingTail, what: 'begin to lash' }],
          drawn: [
            ...Array.from({ length: lashes }, (_, index) =>
              setAt(moved(lashed.path, -lashed.along / 2, 0), placeAt(line, between * index)),
            ),
            partRound(line, 0, between * (lashes - 1), D),
          ],
        },
      ],
      steps: [
        { id: 'mark', name: 'mark the loops on both wires', minutes: 2 },
        {
          id: 'loops',
          name: 'turn the loops, alike and in one plane',
          minutes: 2 + loops * 1.5,
          cautions: ['gripping'],
        },
        { id: 'form', name: 'form both wires to the stone', minutes: 4 },
        {
          id: 'lash-foot',
          name: 'lash the foot and the sides',
          minutes: 2 + lashes * 1.2,
          cautions: ['cut ends'],
        },
        { id: 'stone', name: 'put the stone in and push the loops onto its shoulder', minutes: 4 },
        { id: 'lash-top', name: 'lash the top shut', minutes: 3 },
        { id: 'tuck', name: 'trim and tuck', minutes: 2, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'mark', then: 'loops', why: 'loops that are turned by eye are not even' },
        { first: 'stone', then: 'lash-top', why: 'the stone does not pass a bezel that is lashed shut' },
      ],
      holds: evenHolds(perimeterOf(outline.value), 2 * loops, (loop + 2 * D) / 2),
      solids: [{ kind: 'outline', outline: outline.value }],
      notes: [
        `${counted(loops, 'loop')} on each side, ${said(step)} apart.`,
        `Each wire is ${((2 * tail + side + loops * each) / held.length).toFixed(1)} times the stone’s length; the rule of thumb is 3 to 3½ times.`,
      ],
    });
  },
});
