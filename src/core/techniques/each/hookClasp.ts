import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import { plainLoop, wrappedLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { technique } from '../../technique/technique';

/** Between the hook and its eye on paper, mm. */
const BESIDE = 6;

/**
 * A hook with a link loop to hang it by and a tip that is rolled back, and the eye it closes on: wrapped shut on its own stem, a link loop
 * across at its other end.
 */
export const hookClasp = technique({
  id: 'hook-clasp',
  title: 'Hook clasp and eye',
  group: 'findings',
  source: 'loops π(a + D), half a circle for the hook, straight legs; wraps n √[(2πD)² + D²]: plane geometry',
  parameters: {
    wire: wire('Clasp wire', roundWire(1.024), 'frame'),
    eye: length('Link loops of hook and eye, inside', 3, 1, 20),
    hook: length('Hook, inside', 6, 2, 30),
    leg: length('Straight leg', 10, 0, 60),
    lip: length('Loop at the tip, inside', 1.5, 0.5, 15),
    ring: length('Wrapped eye, inside', 4, 2, 40),
    wraps: count('Wraps of the eye', 2, 1, 10),
    trim: length('Trim at each end', 1, 0, 10),
  },
  plan: ({ wire: size, eye, hook, leg, lip, ring: closes, wraps, trim }) => {
    const tails = { first: trim, second: trim };
    const wound = `${counted(wraps, 'wrap')} on its stem`;
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'hook',
            name: 'hook',
            cutFrom: 'wire',
            size,
            start: pose(vec3(0, 0), vec3(0, -1)),
            first: [
              { kind: 'bent', name: 'hook', about: hook, angle: 180 },
              { kind: 'laid', name: 'back to the tip', length: leg / 2 },
              // Rolled outward, so that what it closes on slides in.
              { kind: 'bent', name: 'loop at the tip', about: lip, angle: -250 },
            ],
            second: [
              ...(leg > 0 ? [{ kind: 'laid', name: 'leg', length: leg } as const] : []),
              // The other way than the hook, so that both lie over one line.
              ...plainLoop({ name: 'link loop', inside: eye, size, way: 'right' }),
            ],
            tails,
          },
          {
            id: 'eye',
            name: 'eye',
            cutFrom: 'wire',
            size,
            start: pose(vec3(hook + eye + closes + BESIDE, leg / 2), vec3(0, -1)),
            first: wrappedLoop({
              on: { wire: 'eye', side: 'first' },
              stem: 'stem',
              name: 'wrapped loop',
              wound,
              wraps,
              inside: closes,
              size,
            }),
            second: plainLoop({ name: 'link loop', inside: eye, size, roll: 90 }),
            tails,
          },
        ],
      },
      {
        tails: 'flush trim',
        marked: [
          { wire: 'hook', side: 'second', at: 'link loop', what: 'bend for the link loop' },
          { wire: 'hook', side: 'first', at: 'hook', what: 'begin the hook' },
          { wire: 'hook', side: 'first', at: 'back to the tip', what: 'the hook ends' },
          { wire: 'eye', side: 'second', at: 'link loop', what: 'bend for the link loop' },
          { wire: 'eye', side: 'first', at: 'wrapped loop', what: 'bend aside for the wrapped loop' },
        ],
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'tip',
          name: 'roll the tip of the hook',
          minutes: 1,
          cautions: ['cut ends'],
        },
        { id: 'hook', makes: ['hook'], name: 'bend the hook on the wide part of the jaws', minutes: 2 },
        { id: 'eye', makes: ['leg'], name: 'turn its link loop the other way', minutes: 1.5 },
        {
          id: 'wrapped',
          makes: ['eye'],
          name: 'turn the eye, and wrap it shut on its stem',
          minutes: 2.5,
          cautions: ['cut ends'],
        },
        { id: 'across', name: 'turn the eye’s link loop, across', minutes: 1.5 },
        {
          id: 'harden',
          name: 'hammer the bow of the hook, and the eye beyond its wraps, to harden them',
          minutes: 1.5,
          cautions: ['hammering'],
        },
      ],
    });
  },
});
