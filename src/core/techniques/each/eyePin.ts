import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

/** A pin with a loop at its foot. */
export const eyePin = technique({
  id: 'eye-pin',
  title: 'Eye pin',
  group: 'findings',
  source: 'a loop is π(a + D): plane geometry',
  parameters: {
    wire: wire('Pin wire', roundWire(0.812), 'frame'),
    bead: beadLength('Beads, along their holes', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop at the top, inside', 3, 0.5, 30),
    eye: length('Eye at the foot, inside', 2.5, 0.5, 30),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire: size, bead, drilled: hole, loop, eye, trim }) => {
    const cut = cutsOfPiece(
      {
        bodies: [{ kind: 'bead', id: 'bead', width: bead, length: bead, hole }],
        wires: [
          {
            id: 'wire',
            name: 'pin wire',
            cutFrom: 'wire',
            size,
            start: pose(vec3(0, 0), vec3(0, -1)),
            first: [
              { kind: 'threaded', name: 'through the bead', bead: 'bead' },
              ...plainLoop({ name: 'plain loop', inside: loop, size }),
            ],
            second: plainLoop({ name: 'eye', inside: eye, size }),
            tails: { first: trim, second: trim },
          },
        ],
      },
      {
        tails: 'flush trim',
        marked: [
          { wire: 'wire', side: 'second', at: 'eye', what: 'bend for the eye' },
          { wire: 'wire', side: 'first', at: 'plain loop', what: 'bend for the loop' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'straighten', name: 'twist the wire straight and hard', minutes: 0.5 },
        { id: 'eye', makes: ['eye'], name: 'turn the eye', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'thread-bead', makes: ['bead', 'through the bead'], name: 'thread the beads', minutes: 0.5 },
        { id: 'loop', makes: ['plain loop'], name: 'turn the loop at the top', minutes: 1.5 },
      ],
      order: [{ first: 'thread-bead', then: 'loop', why: 'the bead does not pass the loop' }],
    });
  },
});
