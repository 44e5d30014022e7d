import { ok } from '../../result';
import { choice, count, length, roundWire, wire } from '../../parameter/parameter';
import { endsLeft } from '../../techniqueKit/endsLeft';
import { actTechnique } from '../../technique/planActs';

/** How a bend leaves the plane that its wires lie in, degrees about the wire. */
const WAYS = {
  'to the right': { roll: 0, turn: 1 },
  'to the left': { roll: 0, turn: -1 },
  'to the back': { roll: -90, turn: 1 },
  'to the front': { roll: 90, turn: 1 },
} as const;

/** Ends bent about something round, alone or side by side as one, and straight on from there. */
export const bentEnds = actTechnique({
  id: 'bent-ends',
  title: 'Bend of ends',
  group: 'links and loops',
  source:
    'an arc of π(a + D)/2 for each half turn, those that lie further out by their distance more: plane geometry',
  parameters: {
    wire: wire('Wire', roundWire(0.812), 'frame'),
    before: length('Straight on before the bend', 0, 0, 200),
    about: length('Bent about, diameter', 6, 0, 100),
    degrees: count('Bent by, degrees', 180, 1, 720),
    way: choice('Which way', ['to the right', 'to the left', 'to the back', 'to the front'], 'to the right'),
    lie: choice('They lie', ['side by side', 'behind one another'], 'side by side'),
    apart: length('Air between them', 0, 0, 20),
    after: length('Straight on from there', 0, 0, 200),
    tail: length('Handling tail at each end', 20, 0, 200),
  },
  ports: {
    ends: {
      label: 'Ends that are bent, from the inside of the bend outward',
      does: 'bend, to a radius',
      takes: ['end'],
      from: 1,
      to: 8,
      wire: 'wire',
      freshOnly: ['wire'],
      fresh: ({ tail }) => ({ count: 1, name: 'wire', tail }),
    },
  },
  act: ({ wire: { width: D }, before, about, degrees, way, lie, apart, after, tail }, { ends, own }) => {
    const { roll, turn } = WAYS[way];
    // What lies in the plane of the bend goes round one another.
    const isRound = (roll === 0) === (lie === 'side by side');
    const bent = ends('ends');
    return ok({
      goesOn: bent.map((end, index) => ({
        end,
        courses: [
          ...(before > 0 ? [{ kind: 'laid', name: 'straight on', length: before } as const] : []),
          {
            kind: 'bent',
            name: `bend of ${degrees}°`,
            id: own('bend'),
            about: about + (isRound ? 2 * index * (D + apart) : 0),
            angle: turn * degrees,
            roll,
          },
          ...(after > 0 ? [{ kind: 'laid', name: 'straight on', length: after } as const] : []),
        ],
        tail,
      })),
      leaves: endsLeft(bent),
      marked: bent.map(({ wire: id, side }) => ({ wire: id, side, at: own('bend'), what: 'bend here' })),
      steps: [{ id: 'bend', name: `bend ${way} by ${degrees}°`, minutes: 0.5 + 0.5 * bent.length }],
    });
  },
});
