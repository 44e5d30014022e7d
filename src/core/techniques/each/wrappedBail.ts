import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Between the bail and what its neck is wound of, in thicknesses. */
const AIR = 0.2;
/** The neck goes on so far below its wraps, in thicknesses. */
const BELOW = 3;

/** Turns of one wire on a mandrel as a bail, and wraps of its end round the neck. */
export const wrappedBail = technique({
  id: 'wrapped-bail',
  title: 'Wrapped bail',
  group: 'findings',
  source: 'a close coil on the mandrel and wraps round k wires of the neck: helices unrolled',
  parameters: {
    wire: wire('Bail wire', roundWire(0.812), 'frame'),
    inside: length('Inside, for the chain', 4, 1, 30),
    turns: count('Turns of the bail', 3, 1, 20),
    neck: wire('Wires of the neck', roundWire(0.812)),
    wires: count('Wires in the neck', 2, 1, 16),
    wraps: count('Wraps round the neck', 4, 1, 30),
    tail: length('Handling tail at each end', 15, 0, 100),
  },
  plan: ({ wire: size, inside, turns, neck, wires, wraps, tail }) => {
    const { thick: D, pitch } = bendOf(size);
    const wide = turns * pitch;
    const round = Math.PI * (inside + D);
    // The mandrel lies across the paper; its coil begins and ends at its foot, over the neck.
    const start = pose(vec3(wide / 2, 0), vec3(-pitch, 0, round), vec3(-1, 0));
    const top = (D + neck.width) / 2 + AIR * D;
    const necks = Array.from({ length: wires }, (_, index) => `neck ${index + 1}`);
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'wire',
            name: 'bail wire',
            cutFrom: 'wire',
            size,
            start,
            first: [
              {
                kind: 'coiled',
                name: `${counted(turns, 'turn')} of the bail`,
                about: inside,
                turns: -turns,
                pitch,
              },
              {
                kind: 'bound',
                name: `${counted(wraps, 'wrap')} round the neck`,
                id: 'neck',
                on: necks.map((id) => ({ wire: id, from: D, towards: 'first' as const })),
                turns: wraps,
                long: wraps * pitch,
              },
            ],
            second: [],
            tails: { first: tail, second: tail },
          },
          ...necks.map((id, index) => ({
            id,
            name: 'neck wire',
            cutFrom: 'neck',
            size: neck,
            start: pose(vec3((index - (wires - 1) / 2) * neck.width, top), vec3(0, 1)),
            first: [{ kind: 'laid' as const, name: 'neck', length: wraps * pitch + BELOW * D }],
            second: [],
            tails: { first: 0, second: 0 },
          })),
        ],
      },
      {
        given: necks,
        middle: 'begin on the mandrel',
        marked: [{ wire: 'wire', side: 'first', at: 'neck', what: 'begin to wrap the neck' }],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'turn', makes: ['of the bail'], name: 'turn the bail on a mandrel', minutes: 2 },
        { id: 'hang', name: 'hang what belongs in the bail', minutes: 0.5 },
        {
          id: 'wrap',
          makes: ['round the neck'],
          name: 'wrap the neck, trim and tuck',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'hang', then: 'wrap', why: 'a closed ring does not pass a bail that is wrapped shut' },
      ],
      notes: [`It is ${said(wide)} wide and lets ${said(inside)} through.`],
    });
  },
});
