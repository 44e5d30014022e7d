import { refuse } from '../../result';
import { coil as coilLength } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { helix, straight } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** Thin wire wound round a core, side by side or open. */
export const coil = technique({
  id: 'coil',
  title: 'Coil',
  group: 'coils and spirals',
  source: '(ℓ/p) √[(π(D + d))² + p²]: a helix unrolled',
  parameters: {
    core: wire('Core', roundWire(0.812)),
    wire: wire('Coiled wire', roundWire(0.405)),
    length: length('Length of the coil', 20, 0.5, 500),
    open: length('Gap between turns', 0, 0, 20, '0 when it is wound close'),
    tail: length('Tail at each end', 25, 0, 120),
  },
  plan: ({ core, wire: { width: d }, length: long, open, tail }) => {
    const pitch = d + open;
    const turns = long / pitch;
    return {
      cuts: [
        {
          name: 'coiled wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${turns.toFixed(1)} turns`, coilLength(core.width, d, turns, pitch)),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to coil' }],
          drawn: [helix(-long / 2, 0, (core.width + d) / 2, turns, pitch)],
        },
      ],
      steps: [{ id: 'coil', name: 'wind the coil', minutes: 0.5 + turns * 0.02 }],
      notes: [`${turns.toFixed(1)} turns, ${said(core.width + 2 * d)} across.`],
    };
  },
});

/** A coil that is wound round a core once more. */
export const coilOfCoil = technique({
  id: 'coil-of-coil',
  title: 'Coil of a coil',
  group: 'coils and spirals',
  source: 'the inner coil’s outer diameter d₁ + 2d₂ is its wrapping diameter and pitch; multiply through',
  parameters: {
    core: wire('Core', roundWire(0.812)),
    inner: wire('Wire inside the coil', roundWire(0.644)),
    outer: wire('Coiled wire', roundWire(0.405)),
    length: length('Finished length', 20, 1, 200),
    tail: length('Tail at each end', 25, 0, 120),
  },
  plan: ({ core, inner, outer, length: long, tail }) => {
    const [D, d1, d2] = [core.width, inner.width, outer.width];
    const thick = d1 + 2 * d2;
    const turns = long / thick;
    const axis = coilLength(D, thick, turns, thick);
    if (axis > 5000) return refuse(`That is ${said(axis)} of coil; wind it in parts of 5 m at most.`);
    const small = axis / d2;
    const path = helix(-long / 2, 0, (D + thick) / 2, turns, thick);
    return {
      cuts: [
        {
          name: 'wire inside the coil',
          wire: 'inner',
          count: 1,
          terms: [net(`${turns.toFixed(1)} turns round the core`, axis), allowance('tails', 2 * tail)],
          marks: [{ at: tail, what: 'begin to wind round the core' }],
          drawn: [path],
        },
        {
          name: 'coiled wire',
          wire: 'outer',
          count: 1,
          terms: [
            net(`${Math.round(small)} turns round the wire`, coilLength(d1, d2, small, d2)),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to coil' }],
          // Drawn before it is wound round the core: a straight coil beneath the finished one.
          drawn: [helix(-axis / 2, D / 2 + 3 * thick, (d1 + d2) / 2, small, d2)],
        },
      ],
      steps: [
        { id: 'coil', name: 'wind the inner coil', minutes: 1 + small * 0.02 },
        { id: 'wind', name: 'wind the coil round its core', minutes: 1 + turns * 0.2 },
      ],
      notes: [
        `The inner coil is ${(axis / long).toFixed(1)} times the finished length when it is wound close; the rule of thumb of 3 times gives an open winding of ${said(3 * long)}.`,
      ],
    };
  },
});

/** Two wires of one kind twisted together. */
export const twistedWire = technique({
  id: 'twisted-wire',
  title: 'Two wires twisted together',
  group: 'coils and spirals',
  source: 'each strand is √[1 + (πdT)²] times the twist: a helix unrolled',
  parameters: {
    wire: wire('Strands', roundWire(0.511)),
    length: length('Length of the twist', 100, 1, 3000),
    turns: length('Length of one turn', 3, 0.3, 100),
    tail: length('Held at each end', 20, 0, 120),
  },
  plan: ({ wire: { width: d }, length: long, turns: lay, tail }) => {
    const turns = long / lay;
    const strand = turns * Math.hypot(Math.PI * d, lay);
    const half = (begin: number) => helix(-long / 2, 0, d / 2, turns, lay, begin);
    return {
      cuts: [
        {
          name: 'strand',
          wire: 'wire',
          count: 2,
          terms: [net(`${turns.toFixed(1)} turns`, strand), allowance('held at the ends', 2 * tail)],
          marks: [],
          drawn: [half(0)],
        },
      ],
      steps: [{ id: 'twist', name: 'twist evenly, under tension', minutes: 1 + turns * 0.03 }],
      notes: [`Each strand is ${((strand / long - 1) * 100).toFixed(1)} % longer than the twist.`],
    };
  },
});

/** A wire cut to a length that the maker knows. */
export const freeCut = technique({
  id: 'free-cut',
  title: 'A length that you know',
  group: 'anything else',
  source: 'as typed',
  parameters: {
    wire: wire('Wire', roundWire(0.812)),
    length: length('Length in the piece', 100, 0.1, 20_000),
    tail: length('Allowance', 0, 0, 2000),
  },
  plan: ({ length: long, tail }) => ({
    cuts: [
      {
        name: 'wire',
        wire: 'wire',
        count: 1,
        terms: [net('as typed', long), allowance('allowance', tail)],
        marks: [],
        drawn: [straight(-long / 2, 0, long / 2, 0)],
      },
    ],
    steps: [{ id: 'cut', name: 'cut it', minutes: 0.5, cautions: ['cut ends'] }],
  }),
});
