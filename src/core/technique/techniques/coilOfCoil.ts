import { counted } from '../../units/counted';
import { refuse } from '../../result';
import { coil as coilLength } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { helix, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** A coil that is wound round a core once more. */
export const coilOfCoil = technique({
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
  plan: ({ core, inner, outer, length: long, tail }) => {
    const [D, d1, d2] = [core.width, inner.width, outer.width];
    const thick = d1 + 2 * d2;
    const turns = long / thick;
    const axis = coilLength(D, thick, turns, thick);
    // Bent round the core, turn lies on turn at the inside of the bend, so many as go there; outside they fan out.
    const close = coilLength(D, d2, turns, thick);
    if (axis > 5000) return refuse(`That is ${said(axis)} of wire inside; wind it in parts of 5 m at most.`);
    const small = close / d2;
    const path = helix(-long / 2, 0, (D + thick) / 2, turns, thick);
    return {
      cuts: [
        {
          name: 'wire inside the coil',
          wire: 'inner',
          count: 1,
          terms: [
            net(`${counted(turns.toFixed(1), 'turn')} round the core`, axis),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to wind round the core' }],
          drawn: [path],
        },
        {
          name: 'coiled wire',
          wire: 'outer',
          count: 1,
          terms: [
            net(`${counted(Math.round(small), 'turn')} round the wire`, coilLength(d1, d2, small, d2)),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to coil' }],
          // Drawn before it is wound round the core: a straight coil beneath the finished one.
          drawn: [helix(-close / 2, D / 2 + 3 * thick, (d1 + d2) / 2, small, d2)],
        },
      ],
      steps: [
        { id: 'coil', name: 'wind the inner coil', minutes: 1 + small * 0.02 },
        { id: 'wind', name: 'wind the coil round its core', minutes: 1 + turns * 0.2 },
      ],
      solids: [{ kind: 'wire', wire: 'core', path: straight(-long / 2 - 3, 0, long / 2 + 3, 0) }],
      notes: [
        `Wind ${said(close)} of close coil, ${(close / long).toFixed(1)} times the finished length (the rule of thumb says 3 times); the wire inside it is ${(axis / long).toFixed(1)} times.`,
      ],
    };
  },
});
