import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

/** A French hook: a loop in front, over the ear, and a leg behind. */
export const earWire = technique({
  id: 'ear-wire',
  title: 'Ear wire',
  group: 'findings',
  source: 'loop π(a + D), half a circle over the ear, two legs: plane geometry',
  parameters: {
    wire: wire('Ear wire', roundWire(0.812), 'ear wire'),
    loop: length('Loop, inside', 2, 0.8, 10),
    front: length('Leg in front', 6, 0, 40),
    hook: length('Width over the ear, inside', 9, 4, 30),
    back: length('Leg behind', 18, 5, 60),
    trim: length('Trim and rounding at each end', 1, 0, 10),
  },
  plan: ({ wire: size, loop, front, hook, back, trim }) => {
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'wire',
            // One for an ear; a pair is two of everything.
            name: 'ear wire',
            cutFrom: 'wire',
            size,
            // Worked from where it begins to bend over the ear: the loop down in front, the leg down behind.
            start: pose(vec3(-hook / 2, 0), vec3(0, 1)),
            first: [
              ...(front > 0 ? [{ kind: 'laid', name: 'leg in front', length: front } as const] : []),
              // It stands across, so that what hangs in it faces forward.
              ...plainLoop({ name: 'loop', inside: loop, size, roll: 90 }),
            ],
            second: [
              { kind: 'bent', name: 'over the ear', about: hook, angle: 180 },
              { kind: 'laid', name: 'leg behind', length: back },
            ],
            tails: { first: trim, second: trim },
          },
        ],
      },
      {
        middle: 'begin to bend over the mandrel',
        measuredFrom: 'first',
        tails: 'trim and rounding',
        marked: [
          { wire: 'wire', side: 'first', at: 'loop', what: 'bend for the loop' },
          { wire: 'wire', side: 'second', at: 'leg behind', what: 'the bend ends; the leg stays straight' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'loop',
          name: 'turn the loop; of a pair both, step by step together',
          minutes: 1,
          cautions: ['cut ends'],
        },
        { id: 'bend', name: 'bend it over the mandrel', minutes: 1 },
        { id: 'round', name: 'round and polish the ends', minutes: 1.5, cautions: ['skin', 'filing'] },
        { id: 'harden', name: 'harden it with a few light taps', minutes: 0.5, cautions: ['hammering'] },
      ],
    });
  },
});
