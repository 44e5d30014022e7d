import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Thin wire wound round a core, side by side or open. */
export const coil = actTechnique({
  id: 'coil',
  title: 'Coil',
  group: 'coils and spirals',
  source: '(ℓ/p) √[(π(D + d))² + p²], round square wire (4s + πd) in place of π(D + d): a helix unrolled',
  parameters: {
    core: wire('Core', roundWire(0.812)),
    wire: wire('Coiled wire', roundWire(0.405), 'coiling'),
    length: length('Length of the coil', 20, 0.5, 500),
    open: length('Gap between turns', 0, 0, 20, '0 when it is wound close'),
    tail: length('Tail at each end', 25, 0, 120),
  },
  ports: {
    core: {
      label: 'End that it is wound on',
      does: 'be coiled round',
      takes: ['end'],
      from: 1,
      to: 1,
      wire: 'core',
      freshOnly: ['core'],
      fresh: ({ length: long }) => ({
        count: 1,
        name: 'core',
        tail: 0,
        isGiven: true,
        start: () => pose(vec3(-long / 2, 0), vec3(1, 0)),
      }),
    },
  },
  act: ({ core: { width }, wire: coiled, length: long, open, tail }, { ends, own }) => {
    const { height, pitch: close } = bendOf(coiled);
    const turns = long / (close + open);
    const cores = ends('core');
    const inTurns = counted(turns.toFixed(1), 'turn');
    return ok({
      wires: [
        {
          id: own('wire'),
          name: 'coiled wire',
          cutFrom: 'wire',
          size: coiled,
          first: [
            {
              kind: 'bound',
              name: inTurns,
              on: cores.map(({ wire: on, places, side }) => ({ wire: on, from: places, towards: side })),
              turns,
              long,
            },
          ],
          second: [],
          tails: { first: tail, second: tail },
          middle: 'begin to coil',
        },
      ],
      goesOn: cores.map((end) => ({ end, courses: [], covered: { long, name: 'under the coil' } })),
      leaves: cores.map(({ label, wire: on, side }) => ({
        id: 'core',
        label,
        takes: 'end',
        wire: on,
        side,
      })),
      steps: [{ id: 'coil', name: 'wind the coil', minutes: 0.5 + turns * 0.02 }],
      notes: [`${inTurns}, ${said(width + 2 * height)} across.`],
    });
  },
});
