import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { coil as coilLength } from '../../geometry/formulas';
import { length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';

/** A coil that is wound round a core once more: on an end that goes on, or on a core by itself. */
export const coilOfCoil = actTechnique({
  id: 'coil-of-coil',
  title: 'Coil of a coil',
  group: 'coils and spirals',
  source:
    'helices unrolled: the wire inside runs round at π(D + d₁ + 2d₂); the coil touches itself inside the bend, at π(D + d₂), and fans out outside',
  parameters: {
    core: wire('Core', roundWire(0.812)),
    inner: wire('Wire inside the coil', roundWire(0.644), 'coiling'),
    outer: wire('Coiled wire', roundWire(0.405), 'coiling'),
    length: length('Finished length', 20, 1, 200),
    tail: length('Tail at each end', 25, 0, 120),
  },
  ports: {
    core: {
      label: 'End that it is wound on',
      does: 'be coiled round with a coil',
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
  act: ({ core, inner, outer, length: long, tail }, { ends, own }) => {
    const [D, d1, d2] = [core.width, inner.width, outer.width];
    const thick = d1 + 2 * d2;
    const turns = long / thick;
    const axis = coilLength(D, thick, turns, thick);
    // Bent round the core, turn lies on turn at the inside of the bend, so many as go there; outside they fan out.
    const close = coilLength(D, d2, turns, thick);
    if (axis > 5000) return refuse(`That is ${said(axis)} of wire inside; wind it in parts of 5 m at most.`);
    // As it lies: nearer to the axis of the bend by half of both, of the curvature that a helix has.
    const radius = (D + thick) / 2;
    const bend = radius / (radius ** 2 + (thick / (2 * Math.PI)) ** 2);
    const small = (axis * (1 - (bend * (d1 + d2)) / 2)) / d2 - 2;
    const cores = ends('core');
    return ok({
      wires: [
        {
          id: own('inner'),
          name: 'wire inside the coil',
          cutFrom: 'inner',
          size: inner,
          first: [
            {
              kind: 'bound',
              name: `${counted(turns.toFixed(1), 'turn')} round the core`,
              on: cores.map(({ wire: on, places, side }) => ({ wire: on, from: places, towards: side })),
              turns,
              long,
              over: d2,
            },
          ],
          second: [],
          tails: { first: tail, second: tail },
          middle: 'begin to wind round the core',
        },
        {
          id: own('outer'),
          name: 'coiled wire',
          cutFrom: 'outer',
          size: outer,
          first: [
            {
              kind: 'bound',
              name: `${counted(Math.round(small), 'turn')} round the wire`,
              on: [{ wire: own('inner'), from: d2 / 2, towards: 'first' }],
              turns: small,
              long: small * d2,
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
      steps: [
        { id: 'coil', name: 'wind the inner coil', minutes: 1 + small * 0.02 },
        { id: 'wind', name: 'wind the coil round its core', minutes: 1 + turns * 0.2 },
      ],
      notes: [
        `Wind ${said(close)} of close coil, ${(close / long).toFixed(1)} times the finished length (the rule of thumb says 3 times); the wire inside it is ${(axis / long).toFixed(1)} times.`,
      ],
    });
  },
});
