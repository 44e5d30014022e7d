import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course } from '../../piece/piece';
import { ok } from '../../result';
import { plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** A pin whose tip is folded back, so that the bead cannot slide off. */
export const headPin = technique({
  id: 'head-pin',
  title: 'Head pin with a folded tip',
  group: 'findings',
  source: 'a loop is π(a + D); the tip is two thicknesses, 2 × fold + half a turn: plane geometry',
  parameters: {
    wire: wire('Pin wire', roundWire(0.812), 'frame'),
    bead: beadLength('Beads, along their holes', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop at the top, inside', 3, 0.5, 30),
    fold: length('Folded tip', 3, 1, 15),
    trim: length('Trim', 1, 0, 20),
  },
  plan: ({ wire: size, bead, drilled: hole, loop, fold, trim }) => {
    const tip: Course = { kind: 'laid', name: 'folded tip', length: fold };
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
            // Below the bead the tip comes up again beside the wire.
            second: [tip, { kind: 'bent', name: 'folded tip', id: 'fold', about: 0, angle: 180 }, tip],
            tails: { first: trim, second: 0 },
          },
        ],
      },
      {
        tails: 'flush trim',
        marked: [
          {
            wire: 'wire',
            side: 'second',
            at: fold + (Math.PI * bendOf(size).thick) / 4,
            what: 'fold the tip back',
          },
          { wire: 'wire', side: 'first', at: 'plain loop', what: 'bend for the loop' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'fold',
          makes: ['folded tip'],
          name: 'fold the tip and squeeze it',
          minutes: 1,
          cautions: ['cut ends'],
        },
        { id: 'thread-bead', makes: ['bead', 'through the bead'], name: 'thread the beads', minutes: 0.5 },
        { id: 'loop', makes: ['plain loop'], name: 'turn the loop', minutes: 1.5 },
      ],
      order: [{ first: 'thread-bead', then: 'loop', why: 'the bead does not pass the loop' }],
    });
  },
});
