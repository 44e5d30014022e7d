import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { PieceWire } from '../../piece/piece';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, wire } from '../../parameter/parameter';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Wires side by side, bound flat with bands of half-round wire and bent to a ring. */
export const boundBandRing = technique({
  id: 'bound-band-ring',
  title: 'Multi-wire bound band',
  group: 'rings',
  source:
    'π(a + 2h + D) for every wire, over bindings of height h; bindings are turns about the hull of the wires, with the centroid of their half disc, 0.424 h, off them',
  parameters: {
    wire: wire('Band wires', { profile: 'square', width: 0.812, height: 0.812 }, 'band'),
    wires: count('Wires side by side', 5, 1, 12),
    inside: insideWanted,
    binding: wire('Binding wire', { profile: 'half-round', width: 0.723, height: 0.36 }, 'binding'),
    bands: count('Bindings', 3, 1, 12),
    turns: count('Turns of each binding', 4, 1, 20),
    tail: length('Overlap and tail at each end', 10, 0, 100),
    bindingTail: length('Held and trimmed at each end of a binding', 5, 0, 60),
  },
  plan: ({ wire: size, wires, inside, binding, bands, turns, tail, bindingTail }) => {
    const D = size.width;
    const start = ringStart('bound-band-ring', inside, wires * D);
    const { height, pitch } = bendOf(binding);
    // The bindings lie between the finger and the wires.
    const lined = start.begun.diameter + 2 * height;
    const radius = (lined + D) / 2;
    // Both ends meet at the back; from the top each hand goes half round.
    const half = 180 * (1 - D / (2 * Math.PI * radius));
    const round = { kind: 'bent', name: ROUND, about: lined } as const;
    const long = turns * pitch;
    const wireOf = (index: number): PieceWire => ({
      id: `wire ${index + 1}`,
      name: `band wire ${index + 1}`,
      cutFrom: 'wire',
      size,
      start: pose(vec3(0, -radius, (index - (wires - 1) / 2) * D), vec3(1, 0)),
      first: [{ ...round, angle: half }],
      second: [{ ...round, angle: -half }],
      tails: { first: tail, second: tail },
    });
    const all = Array.from({ length: wires }, (_, index) => index);
    const bindingOf = (band: number): PieceWire => {
      const on = (2 * Math.PI * radius * band) / bands - long / 2;
      const far = Math.PI * radius;
      return {
        id: `binding ${band + 1}`,
        name: `binding ${band + 1}`,
        cutFrom: 'binding',
        size: binding,
        first: [
          {
            kind: 'bound',
            name: `${counted(turns, 'turn')} round ${counted(wires, 'wire')}`,
            on: all.map((index) => ({
              wire: `wire ${index + 1}`,
              from: on > far - long ? on - 2 * far : on,
              towards: 'first' as const,
            })),
            turns,
            long,
          },
        ],
        second: [],
        tails: { first: bindingTail, second: bindingTail },
      };
    };
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [...all.map(wireOf), ...Array.from({ length: bands }, (_, band) => bindingOf(band))],
      },
      {
        middle: Object.fromEntries(all.map((index) => [`wire ${index + 1}`, 'middle: the top of the ring'])),
        tails: 'held, overlapped and trimmed',
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'straighten', name: 'straighten the wires and lay them flat', minutes: 2 },
        {
          id: 'bind',
          name: 'bind them flat, from the middle outward',
          minutes: 1 + bands * 2.5,
          cautions: ['cut ends'],
        },
        { id: 'bend', name: 'bend the band on the mandrel', minutes: 3 },
        { id: 'close', name: 'close the ring, trim and tuck', minutes: 5, cautions: ['cut ends'] },
        {
          id: 'harden',
          name: 'harden it with a mallet, turning it round between',
          minutes: 2,
          cautions: ['hammering'],
        },
      ],
      order: [{ first: 'bind', then: 'bend', why: 'wires that are bent one by one do not lie flat' }],
      notes: [start.note, `The band is ${said(wires * D)} wide.`],
    });
  },
});

const ROUND = 'round the finger';
