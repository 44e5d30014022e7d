import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course, Side } from '../../piece/piece';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import { wrappedLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** A bead between two loops that are wrapped shut on their own stem. */
export const wrappedLoopLink = technique({
  id: 'wrapped-loop-link',
  title: 'Link with wrapped loops',
  group: 'links and loops',
  source: 'π(a + D) + n √[(2πD)² + D²] + the jog: handbook of the trade; run along the wire as it lies',
  parameters: {
    wire: wire('Link wire', roundWire(0.812), 'frame'),
    bead: beadLength('Bead, along its hole', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop, inside', 3, 0.5, 30),
    wraps: count('Wraps on each stem', 3, 1, 20),
    tail: length('Handling tail at each end', 15, 0, 100),
  },
  plan: ({ wire: size, bead, drilled: hole, loop, wraps, tail }) => {
    const hand = (side: Side): readonly Course[] =>
      wrappedLoop({
        on: { wire: 'wire', side },
        stem: 'stems under the wraps',
        name: 'two loops',
        id: 'loop',
        wound: `${counted(wraps, 'wrap')} on each stem`,
        wraps,
        inside: loop,
        size,
      });
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
            first: [{ kind: 'threaded', name: 'through the bead', bead: 'bead' }, ...hand('first')],
            second: hand('second'),
            tails: { first: tail, second: tail },
          },
        ],
      },
      {
        marked: [
          { wire: 'wire', side: 'second', at: 'loop', what: 'bend aside for the first loop' },
          { wire: 'wire', side: 'first', at: 'loop', what: 'bend aside for the second loop' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'first-loop', name: 'form the first loop', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'hang-first', name: 'hang what belongs in the first loop', minutes: 0.5 },
        { id: 'shut-first', name: 'wrap the first loop shut', minutes: 2 },
        { id: 'thread-bead', makes: ['through the bead'], name: 'thread the bead', minutes: 0.5 },
        {
          id: 'last-loop',
          makes: ['stems under the wraps', 'loop stem'],
          name: 'form the second loop',
          minutes: 1.5,
        },
        { id: 'hang-last', name: 'hang what belongs in the second loop', minutes: 0.5 },
        {
          id: 'shut-last',
          makes: ['on each stem'],
          name: 'wrap the second loop shut, trim and tuck',
          minutes: 2.5,
        },
      ],
      order: [
        {
          first: 'hang-first',
          then: 'shut-first',
          why: 'nothing can be hung in a loop that is wrapped shut',
        },
        { first: 'thread-bead', then: 'last-loop', why: 'the bead does not pass a loop' },
        { first: 'hang-last', then: 'shut-last', why: 'nothing can be hung in a loop that is wrapped shut' },
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
    });
  },
});
