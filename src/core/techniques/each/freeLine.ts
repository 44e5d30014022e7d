import { smoothLine, tightestBend } from '../../geometry/smoothLine';
import { distance, vec } from '../../geometry/vector';
import { vec3 } from '../../geometry/vec3';
import { ok, refuse } from '../../result';
import { choice, length, line, roundWire, wire } from '../../parameter/parameter';
import { endsLeft } from '../../techniqueKit/endsLeft';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';

/** Wire is bent about its own thickness at the least, common practice: so far from the middle of the bend to its middle, in thicknesses. */
const LEAST_BEND = 1;
/** Points that are nearer to one another than this, in thicknesses, are one. */
const APART = 0.1;

/** Ends led along a line of one's own: points from where they stand, smoothed, bent no tighter than their wire allows. */
export const freeLine = actTechnique({
  id: 'free-line',
  title: 'Line of your own',
  group: 'links and loops',
  source:
    'a cubic of Bézier from point to point, measured as it lies; its tightest bend by the circle through three points next to one another',
  parameters: {
    wire: wire('Wire', roundWire(0.812), 'frame'),
    points: line(
      'Points of the line',
      [vec(8, 0), vec(15, 6), vec(13, 14), vec(6, 13)],
      'mm from where the end stands: on ahead, and to its right (to its left negative), as 8,0 15,6.',
    ),
    second: choice('Every second end', ['mirrored', 'alike'], 'mirrored'),
    tail: length('Handling tail at each end', 10, 0, 200),
  },
  ports: {
    ends: {
      label: 'Ends that are led along it',
      does: 'follow a line of your own',
      takes: ['end'],
      from: 1,
      to: 8,
      wire: 'wire',
      freshOnly: ['wire'],
      fresh: ({ tail }) => ({ count: 1, name: 'wire', tail }),
    },
  },
  act: ({ wire: { width: D }, points, second, tail }, { ends, own }) => {
    const through = [vec(0, 0), ...points];
    const same = points.findIndex((point, index) => distance(point, through[index] ?? point) < APART * D);
    if (same >= 0)
      return refuse(
        `Point ${same + 1} lies where the line is already, within ${said(APART * D)}; place it farther off, or leave it out.`,
      );
    const smooth = smoothLine(points);
    const { on, radius } = tightestBend(smooth);
    if (radius < LEAST_BEND * D)
      return refuse(
        `${said(on)} along it the line bends round ${said(radius)}; wire of ${said(D)} is bent round ${said(LEAST_BEND * D)} at the least. Place its points farther apart, or less at an angle.`,
      );
    const led = ends('ends');
    return ok({
      goesOn: led.map((end, index) => ({
        end,
        courses: [
          {
            kind: 'free',
            name: 'line of your own',
            id: own('line'),
            line:
              index % 2 === 1 && second === 'mirrored' ? smooth.map(({ x, y, z }) => vec3(x, -y, z)) : smooth,
            up: vec3(0, 0, 1),
            isOfHand: true,
          },
        ],
        tail,
      })),
      leaves: endsLeft(led),
      marked: led.map(({ wire: id, side }) => ({ wire: id, side, at: own('line'), what: 'the line begins' })),
      steps: [
        {
          id: 'lead',
          name: 'bend along the drawn line, and compare it with the drawing',
          minutes: 0.5 + (0.4 * points.length + 0.5) * led.length,
        },
      ],
      notes: [`Its tightest bend is round ${said(Math.min(radius, 999))}.`],
    });
  },
});
