import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** A bead between two plain loops. */
export const plainLoopLink = technique({
  id: 'plain-loop-link',
  title: 'Link with plain loops',
  group: 'links and loops',
  source: 'a loop is π(a + D): plane geometry',
  parameters: {
    wire: wire('Link wire', roundWire(0.812), 'frame'),
    bead: beadLength('Bead, along its hole', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop, inside', 3, 0.5, 30),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire: size, bead, drilled: hole, loop, trim }) => {
    const loops = plainLoop({ name: 'two plain loops', id: 'loop', inside: loop, size });
    const cut = cutsOfPiece(
      {
        bodies: [{ kind: 'bead', id: 'bead', width: bead, length: bead, hole }],
        wires: [
          {
            id: 'wire',
            name: 'link wire',
            cutFrom: 'wire',
            size,
            start: pose(vec3(0, bead / 2), vec3(0, -1)),
            first: [{ kind: 'threaded', name: 'through the bead', bead: 'bead' }, ...loops],
            second: loops,
            tails: { first: trim, second: trim },
          },
        ],
      },
      {
        tails: 'flush trim',
        marked: [
          { wire: 'wire', side: 'second', at: 'loop', what: 'bend for the first loop' },
          { wire: 'wire', side: 'first', at: 'loop', what: 'bend for the second loop' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'first-loop', name: 'turn a plain loop at one end', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'thread-bead', makes: ['through the bead'], name: 'thread the bead', minutes: 0.5 },
        {
          id: 'last-loop',
          makes: ['two plain loops'],
          name: 'turn the loop at the other end, in the same plane',
          minutes: 2,
        },
      ],
      order: [
        {
          first: 'thread-bead',
          then: 'last-loop',
          why: 'the bead cannot be threaded when both loops are turned',
        },
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
    });
  },
});
