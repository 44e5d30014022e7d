import { radians } from '../../geometry/angle';
import { lengthOfPath, type Vec3 } from '../../geometry/path';
import { pose } from '../../geometry/pose';
import { distance3, minus3, vec3 } from '../../geometry/vec3';
import { onBody, radiusAt } from '../../piece/body';
import type { Course, Piece, Point, Side, Twisted } from '../../piece/piece';
import { offAxis, twistedPath } from '../../piece/shape';
import { refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { PRESSED, ropeBail } from '../../techniqueKit/rope';
import { said, saidBy, technique } from '../../technique/technique';

/** How long one half-twist of two strands is, in diameters of the wire: drawn tight by hand (common practice, about two). */
const TWIST = 2;
/** How long a turn of the rope is, in its thicknesses. */
const LAY = 2;
/** From the tip to the folds under it, in thicknesses of the wire. */
const UNDER = 1;
/** Between the last row and the rope, in thicknesses of the rope. */
const GATHERED = 2;
/** Parts in which a crossing is laid over a corner of the point. */
const CORNER = 8;
const OVER = 'over the tip to the rope';
/** How far off the axis all strands stay on the tip, in parts of how far off it they lie in the rope. */
const ROOMY = 1.2;
/** How far apart the strands of a fold set out, in thicknesses. */
const APART = 1.05;

/**
 * Wires folded under one tip of a point, each through the fold of the next; neighbours of different pairs twisted together row on row up it; over the
 * other tip all strands twisted to a rope, which is the bail: a loop, wound below itself.
 */
export const twistedNet = technique({
  id: 'twisted-net',
  title: 'Twisted net round a point',
  group: 'holding a stone',
  source:
    'strands climb a point that tapers from crossing to crossing, measured; a twist is √[(πd)² + lay²] a turn, a rope is measured along its strands',
  parameters: {
    wire: wire('Net wire', roundWire(0.405), 'net'),
    wires: count('Wires', 3, 2, 8, 'Each is folded, so three wires are six strands'),
    across: length('Point across', 12, 4, 60),
    long: length('Length of the point', 35, 8, 150),
    taper: length('Each tip tapers for', 9, 0.5, 70),
    rows: count('Rows of crossings', 5, 1, 30),
    twists: count('Twists at each crossing', 3, 1, 10),
    loop: length('Hanging loop, inside', 3, 1, 20),
    wraps: count('Wraps of the rope below the loop', 2, 1, 10),
    tail: length('Handling tail at each end', 50, 0, 150),
  },
  plan: ({ wire: size, wires, across, long, taper, rows, twists, loop, wraps, tail }) => {
    const d = size.width;
    if (2 * taper > long)
      return refuse(`Two tips of ${said(taper)} are longer than the point of ${said(long)}.`);
    // As much as half a row is left over the last one, where all strands come together.
    const high = (long - UNDER * d) / (rows + 0.5);
    const twisted = twists * TWIST * d;
    const rise = high - twisted;
    if (rise <= 0)
      return refuse(
        `${twists} twists are ${said(twisted)} high; in ${counted(rows, 'row')} of ${said(long)} there are ${said(high)} for each.`,
      );
    const point: Point = {
      kind: 'point',
      id: 'point',
      length: long,
      width: across,
      tapers: [taper, taper],
      pose: pose(vec3(0, long / 2), vec3(0, -1)),
    };
    // A strand lies half a thickness off the point, so that two can turn about each other on it.
    const play = d / 2;
    const offAt = (up: number) => radiusAt(point, up) + d;
    const place = (up: number, degrees: number): Vec3 =>
      onBody(point, up, offAt(up) * Math.sin(radians(degrees)), offAt(up) * Math.cos(radians(degrees)));
    const mesh = 360 / wires;
    const girth = Math.PI * (across + 2 * d);
    /** How far beside the middle of a crossing a strand lies that is half a thickness aside, degrees. */
    const besideAt = (up: number): number => (Math.atan2(d / 2, offAt(up)) * 180) / Math.PI;
    const strands = 2 * wires;
    const off = offAxis(strands, d);
    const rope = 2 * off + d;
    /** Where one of the last crossings is; each strand goes on into the rope on its own side of the point. */
    const ends = rows % 2 === 0 ? 0 : mesh / 2;
    const first = radians(ends - mesh / 4);
    const begin = pose(vec3(0, -long / 2 - GATHERED * rope), vec3(0, -1));
    const axis = pose(begin.at, begin.along, vec3(Math.sin(first), 0, Math.cos(first)));
    const line = ropeBail(rope, begin, (wraps + 2) * rope, loop, wraps);
    if (!line.ok) return line;
    const ropeLong = line.value.long;
    // Up to there all strands climb the tip, evenly about it; from there on they are led.
    const gathered = long - Math.max(0, (taper * (ROOMY * off - d)) / (across / 2));
    const hand = (index: number, side: Side): readonly Course[] => {
      const courses: Course[] = [];
      let [centre, up, heading] = [mesh * index, UNDER * d, side === 'first' ? 1 : -1];
      // Both strands of a fold come out of it side by side.
      let angle = centre + heading * APART * besideAt(up);
      for (let row = 1; row <= rows; row += 1) {
        const to = UNDER * d + row * high;
        const from = to - twisted;
        centre += (heading * mesh) / 2;
        // It comes to lie on its own side of the crossing, and leaves it on the other after an odd number of half-twists.
        const comes = centre - heading * besideAt(from);
        if (twists % 2 === 0) heading = -heading;
        const [foot, top] = [place(from, centre), place(to, centre)];
        // Where the point begins to taper, neighbours turn about each other over its corner.
        const bent = [taper, long - taper].some((corner) => from < corner && corner < to);
        const over = Array.from({ length: bent ? CORNER + 1 : 0 }, (_, step) =>
          place(from + (twisted * step) / CORNER, centre),
        );
        courses.push(
          {
            kind: 'climbing',
            name: `${counted(rows, 'row')} of mesh, both strands`,
            body: 'point',
            from: up,
            to: from,
            turns: (comes - angle) / 360,
            begin: angle,
            play,
          },
          {
            kind: 'twisted',
            name: `${counted(twists, 'twist')} at each crossing`,
            axis: pose(foot, minus3(top, foot), minus3(place(from, centre - 1), foot)),
            strands: 2,
            strand: comes < centre ? 0 : 1,
            along: bent ? lengthOfPath(over) : distance3(foot, top),
            ...(bent ? { line: over } : {}),
            turns: twists / 2,
          },
        );
        angle = centre + heading * besideAt(to);
        up = to;
      }
      if (up < gathered) {
        const evenly = centre + (heading * mesh) / 4;
        courses.push({
          kind: 'climbing',
          name: OVER,
          body: 'point',
          from: up,
          to: gathered,
          turns: (evenly - angle) / 360,
          begin: angle,
          play,
        });
      }
      const crossing = 2 * Math.round((centre - ends) / mesh);
      const strand: Twisted = {
        kind: 'twisted',
        name: 'rope of all strands: neck, loop and wraps',
        sketched: PRESSED,
        axis,
        line: line.value.path,
        strands,
        strand: (crossing + (heading > 0 ? 1 : 0) + 2 * strands) % strands,
        along: ropeLong,
        turns: ropeLong / (LAY * rope),
      };
      const [begins, goesOn] = twistedPath(strand, size) as [Vec3, Vec3];
      const into = pose(begins, minus3(goesOn, begins));
      return [...courses, { kind: 'led', name: OVER, sketched: PRESSED, to: into }, strand];
    };
    const piece: Piece = {
      bodies: [point],
      wires: Array.from({ length: wires }, (_, index) => {
        const degrees = mesh * index;
        const at = place(UNDER * d, degrees);
        const tangent = minus3(place(UNDER * d, degrees + 1), at);
        return {
          id: `wire ${index + 1}`,
          name: 'net wire',
          cutFrom: 'wire',
          size,
          start: pose(at, tangent, minus3(at, vec3(0, at.y))),
          first: hand(index, 'first'),
          second: hand(index, 'second'),
          tails: { first: tail, second: tail },
        };
      }),
    };
    const cut = cutsOfPiece(piece, {
      middle: 'fold here, under the tip of the point',
    });
    if (!cut.ok) return cut;
    return {
      ...cut.value,
      steps: [
        {
          id: 'foot',
          name: 'fold each wire at its middle, through the fold of the next, and set the folds under one tip',
          minutes: 4,
        },
        {
          id: 'net',
          makes: ['of mesh, both strands'],
          name: 'twist neighbours of different pairs together, row after row',
          minutes: rows * wires * twists * 0.35,
          cautions: ['gripping'],
        },
        { id: 'point', name: 'put the point in, from the third row on', minutes: 1 },
        {
          id: 'rope',
          makes: [OVER],
          name: 'twist all strands together over the other tip',
          minutes: 3,
        },
        { id: 'loop', name: 'turn a loop of the rope', minutes: 2 },
        { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
        {
          id: 'shut',
          name: 'wind the rope below its loop, trim and tuck',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'point', then: 'rope', why: 'the point does not pass a rope that is twisted shut' },
        { first: 'hang', then: 'shut', why: 'nothing can be hung in a loop that is wound shut' },
      ],
      parts: [{ name: `point, ${saidBy(long, across)}`, count: 1 }],
      notes: [
        `The mesh is ${said(girth / wires)} wide and ${said(high)} high; ${said(rise)} of it open.`,
        `${counted(wires + 1, 'wire')} would make a mesh of ${said(girth / (wires + 1))}.`,
      ],
    };
  },
});
