import { counted } from '../../units/counted';
import type { Path } from '../../geometry/path';
import { refuse } from '../../result';
import { coil, ring } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { bow, helix, moved, turned } from '../shapes';
import { allowance, net, said, saidBy, technique } from '../technique';

/** How long one half-twist of two strands is, in diameters of the wire: drawn tight by hand (common practice, about two). */
const TWIST = 2;

/** Wires folded at the foot of a point, their strands twisted together at every crossing to a net round it. */
export const twistedNet = technique({
  id: 'twisted-net',
  title: 'Twisted net round a point',
  group: 'holding a stone',
  source:
    'strands between crossings are helices of half a mesh, √(a² + h²); a twist is √[(πd)² + lay²] a turn',
  parameters: {
    wire: wire('Net wire', roundWire(0.644), 'net'),
    wires: count('Wires', 3, 2, 8, 'Each is folded, so three wires are six strands'),
    across: length('Point across', 12, 4, 60),
    long: length('Length that is covered', 35, 8, 150),
    rows: count('Rows of crossings', 5, 1, 30),
    twists: count('Twists at each crossing', 3, 1, 10),
    neck: count('Twists of all strands at the neck', 3, 1, 12),
    loop: length('Hanging loop, inside', 3, 1, 20),
    tail: length('Handling tail at each end', 50, 0, 150),
  },
  plan: ({ wire: { width: d }, wires, across, long, rows, twists, neck, loop, tail }) => {
    const high = long / rows;
    const twisted = twists * TWIST * d;
    const rise = high - twisted;
    if (rise <= 0)
      return refuse(
        `${twists} twists are ${said(twisted)} high; in ${counted(rows, 'row')} of ${said(long)} there are ${said(high)} for each.`,
      );
    const girth = Math.PI * (across + d);
    const half = girth / wires / 2;
    const slope = Math.hypot(half, rise);
    const lay = 2 * TWIST * d;
    const strand = (twists / 2) * Math.hypot(Math.PI * d, lay);
    // Six strands and more lie round each other at the neck like a rope twice as thick as one.
    const rope = coil(2 * d, d, neck / 2, 4 * d);
    const each = 2 * (rows * (slope + strand) + rope) + half;
    const radius = (across + d) / 2;
    const round = (from: number, sweep: number, top: number, down: number): Path =>
      Array.from({ length: 33 }, (_, index) => {
        const angle = from + (sweep * index) / 32;
        return {
          x: radius * Math.sin(angle),
          y: top - (down * index) / 32,
          z: radius * Math.cos(angle),
        };
      });
    const turn = half / radius;
    const strandOf = (begin: number, way: 1 | -1): Path[] =>
      Array.from({ length: rows }, (_, row) => {
        const foot = long / 2 - row * high;
        const side = row % 2 === 0 ? way : -way;
        const from = row % 2 === 0 ? begin : begin + way * turn;
        const end = from + side * turn;
        return [
          round(from, side * turn, foot, rise),
          moved(
            turned(helix(0, 0, d / 2, twists / 2, lay, begin), -Math.PI / 2),
            radius * Math.sin(end),
            foot - rise,
            radius * Math.cos(end),
          ),
        ];
      }).flat();
    const ropeOf = (begin: number) =>
      moved(turned(helix(0, 0, (3 * d) / 2, neck / 2, 4 * d, begin), -Math.PI / 2), 0, -long / 2);
    const fold = (begin: number) =>
      Array.from({ length: 25 }, (_, index) => {
        const angle = begin + turn * (index / 24 - 0.5);
        return { x: radius * Math.sin(angle), y: long / 2, z: radius * Math.cos(angle) };
      });
    const wireAt = (index: number): Path[] => {
      const begin = (2 * Math.PI * index) / wires;
      return [
        fold(begin),
        ...strandOf(begin, 1),
        ...strandOf(begin, -1),
        ropeOf(begin),
        ropeOf(begin + Math.PI),
      ];
    };
    const top = -long / 2 - neck * 2 * d;
    return {
      cuts: [
        {
          name: 'net wire',
          wire: 'wire',
          count: wires,
          terms: [
            net('fold at the foot', half),
            net(`${counted(rows, 'row')} of mesh, both strands`, 2 * rows * slope),
            net(`${counted(twists, 'twist')} at each crossing`, 2 * rows * strand),
            net('twisted together at the neck', 2 * rope),
            allowance('handling tails', 2 * tail),
          ],
          marks: [{ at: tail + each / 2, what: 'middle: the foot of the point' }],
          drawn: wireAt(0),
          places: Array.from({ length: wires - 1 }, (_, index) => wireAt(index + 1)).flat(),
        },
        {
          name: 'hanging loop',
          wire: 'wire',
          count: 1,
          terms: [
            net('loop', ring(loop, d)),
            net('wraps on the neck', coil(4 * d, d, 3)),
            allowance('tail', tail),
          ],
          marks: [],
          drawn: [
            bow(0, top - (loop + d) / 2, (loop + d) / 2, Math.PI / 2, 2 * Math.PI),
            moved(turned(helix(0, 0, (5 * d) / 2, 3, d), -Math.PI / 2), 0, top),
          ],
        },
      ],
      steps: [
        { id: 'foot', name: 'cross the folds and twist them at the foot', minutes: 4 },
        {
          id: 'net',
          name: 'twist neighbours together, row after row',
          minutes: rows * wires * twists * 0.35,
          cautions: ['gripping'],
        },
        { id: 'point', name: 'put the point in while the net is open', minutes: 1 },
        { id: 'neck', name: 'twist all strands at the neck', minutes: 3 },
        {
          id: 'loop',
          name: 'turn the loop and wrap the neck, trim and tuck',
          minutes: 4,
          cautions: ['cut ends'],
        },
      ],
      order: [{ first: 'point', then: 'neck', why: 'the point does not pass a neck that is twisted shut' }],
      parts: [{ name: `point, ${saidBy(long, across)}`, count: 1 }],
      notes: [
        `The mesh is ${said(2 * half)} wide and ${said(high)} high; ${said(rise)} of it open.`,
        `${counted(wires + 1, 'wire')} would make a mesh of ${said(girth / (wires + 1))}.`,
      ],
    };
  },
});
