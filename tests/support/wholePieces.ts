import { diameterOfUs } from '@/core/ring/ringSize';
import { roundWire, squareWire } from '@/core/parameter/parameter';
import type { WireSize } from '@/core/wire/wireSize';
import type { Plan } from '@/core/technique/technique';
import type { Told } from './acts';
import { ga, planOf } from './techniques';

/** Whole pieces as makers make them, by the techniques that they are composed of: common practice, constructions. */

/** Half-round wire, half as thick as it is wide. */
export const halfRound = (width: number): WireSize => ({ profile: 'half-round', width, height: width / 2 });

const THREE_TWO = {
  repeat: [
    { kind: 'wrap', first: 0, last: 0, wraps: 3 },
    { kind: 'wrap', first: 0, last: 1, wraps: 2 },
  ],
  close: [{ kind: 'wrap', first: 0, last: 0, wraps: 3 }],
} as const;

/** A1: four frame wires, one lead wire of them, a neck of one end, a bail of three, a woven arch. */
export const BUNDLE_PENDANT: readonly Told[] = [
  [
    'frame',
    'bundle-frame',
    {
      stone: { outline: 'teardrop', length: 32, width: 19, depth: 6, edge: 2.4 },
      stands: 'tip down',
      wire: squareWire(0.812),
      wires: 4,
      lead: 'of its own, twisted on its axis',
      leadWire: squareWire(0.812),
      binding: halfRound(1.024),
      bound: 4,
      bail: 0,
      meet: 'cross',
      holds: 2,
      reach: 0.9,
      tail: 40,
      bindingTail: 10,
    },
  ],
  [
    'neck',
    'neck-wraps',
    { turns: 3, tail: 8 },
    {
      bundle: ['left 1', 'left 2', 'left 3', 'left 4', 'right 1', 'right 2', 'right 3'].map(
        (end) => `frame.${end}`,
      ),
      winder: ['frame.right 4'],
    },
  ],
  [
    'bail',
    'folded-bail',
    { wraps: 0, gather: 10, leg: 7, inside: 4, clear: 2, tail: 15 },
    { ends: ['neck.end 4', 'neck.end 3', 'neck.end 7'] },
  ],
  [
    'aside',
    'bent-ends',
    { about: 4, degrees: 60, way: 'to the left', lie: 'behind one another', after: 1 },
    { ends: ['neck.end 1', 'neck.end 2'] },
  ],
  [
    'weave',
    'straight-weave',
    { weave: THREE_TWO, length: 10.3, weavingTail: 40 },
    { frame: ['aside.end 1', 'aside.end 2'] },
  ],
  [
    'arch',
    'bent-ends',
    { about: 9, degrees: 132, way: 'to the left', after: 0.5, apart: 0.33, tail: 6 },
    { ends: ['weave.end 1', 'weave.end 2'] },
  ],
  [
    'drop',
    'threaded-bead',
    { bead: 4, across: 4, before: 0.5, drilled: 1.3, after: 0.5, tail: 6 },
    { end: ['arch.end 2'] },
  ],
  [
    'caught',
    'bent-ends',
    { about: 3, degrees: 180, way: 'to the back', after: 3, tail: 4 },
    { ends: ['drop.end'] },
  ],
  ['lead', 'bent-ends', { about: 6, degrees: 145, way: 'to the right', after: 5 }, { ends: ['neck.end 5'] }],
  ['forth', 'bent-ends', { about: 2, degrees: 45, way: 'to the front', after: 1 }, { ends: ['lead.end 1'] }],
  ['level', 'bent-ends', { about: 2, degrees: 45, way: 'to the back' }, { ends: ['forth.end 1'] }],
  [
    'bead',
    'threaded-bead',
    { bead: 4, across: 4, before: 0.4, drilled: 1.3, after: 0.8 },
    { end: ['level.end 1'] },
  ],
  ['curl', 'flat-spiral', { across: 8.4, start: 1.6, gap: 0.6, way: 'to the right' }, { ends: ['bead.end'] }],
  [
    'lash',
    'lashing',
    { wire: halfRound(0.812), turns: 2 },
    { held: ['frame.round right 1', 'curl.spiral 1'] },
  ],
  [
    'second',
    'bent-ends',
    { about: 5, degrees: 150, way: 'to the right', after: 4, tail: 6 },
    { ends: ['neck.end 6'] },
  ],
];

/** B3: a channel of graded beads round a drop. */
export const DROP_CHANNEL: readonly Told[] = [
  [
    'channel',
    'drop-channel',
    { base: roundWire(1), wire: roundWire(0.4), long: 22, wide: 13, bead: 3, beads: 8 },
  ],
];

/** D1: one folded wire that crosses itself, beads, a laced weave. */
export const LACED_FRAME: readonly Told[] = [
  [
    'frame',
    'laced-frame',
    {
      base: roundWire(1),
      wire: roundWire(0.4),
      high: 37,
      wide: 26,
      laced: 13,
      bead: 2,
      beads: 5,
      last: 3,
      wraps: 3,
      close: 5,
      loop: 1.8,
    },
  ],
];

/** G6: a figure-eight band that holds a teardrop. */
export const BAND_THAT_PARTS: readonly Told[] = [
  [
    'band',
    'figure-eight-ring',
    {
      wire: ga(20),
      weaving: ga(26),
      inside: diameterOfUs(7),
      stone: { outline: 'teardrop', length: 17, width: 12, depth: 4.5, edge: 1.8 },
    },
  ],
];

/** What a piece that one technique makes by itself comes to. */
export function aloneOf([told, ...others]: readonly Told[]): Plan {
  if (!told || others.length > 0) throw new Error(`${others.length + 1} techniques make it`);
  const [, technique, values] = told;
  return planOf(technique, values);
}
