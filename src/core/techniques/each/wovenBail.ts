import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course, PieceWire } from '../../piece/piece';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, weave, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { minutesToWeave, stripOf } from '../../techniqueKit/woven';

/** A strip of weave folded over a mandrel to be a bail. */
export const wovenBail = technique({
  id: 'woven-bail',
  title: 'Woven bail',
  group: 'findings',
  source:
    'a strip as long as its way over the mandrel, π(a + 2d + D)/2 and two legs, woven by its notation as far as it lies close inside of the bend',
  parameters: {
    weave: weave('Weave', {
      repeat: [
        { kind: 'wrap', first: 0, last: 1, wraps: 1 },
        { kind: 'wrap', first: 1, last: 2, wraps: 1 },
      ],
      close: [],
    }),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.321), 'weaving'),
    inside: length('Inside, for the chain', 5, 1, 30),
    leg: length('Leg from the neck to the bend', 6, 0, 40),
    tail: length('Tail at each end of the frame wires', 20, 0, 200),
    weavingTail: length('Tail at each end of the weaving wire', 50, 0, 200),
  },
  plan: ({ weave: woven, base, weaving, inside, leg, tail, weavingTail }) => {
    // The weaving wire lies between the mandrel and the frame wires; inside of the bend it touches itself, so that it covers less flat.
    const squeezed = (Math.PI * (base.width + weaving.width)) / 2;
    const whole = (Math.PI * (inside + 2 * weaving.width + base.width)) / 2 + 2 * leg;
    const strip = whole - squeezed;
    const made = stripOf(woven, base, weaving, { within: strip });
    if (!made.ok) return made;
    const { covered, repeats, wires, step, term } = made.value;
    const { repeat, close } = woven;
    // Worked from the top of the bail, over the mandrel and down both legs.
    const lined = inside + 2 * weaving.width;
    const hand = (roll: number): readonly Course[] => [
      { kind: 'bent', name: 'over the mandrel', about: lined, angle: 90, roll },
      ...(leg > 0 ? [{ kind: 'laid', name: 'two legs', length: leg } as const] : []),
    ];
    const frameOf = (index: number): PieceWire => ({
      id: `frame ${index + 1}`,
      name: `frame wire ${index + 1}`,
      cutFrom: 'base',
      size: base,
      start: pose(vec3((index - (wires - 1) / 2) * step, 0), vec3(0, 0, 1), vec3(0, -1)),
      first: hand(-90),
      second: hand(-90),
      tails: { first: tail, second: tail },
    });
    const frames = Array.from({ length: wires }, (_, index) => frameOf(index));
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          ...frames,
          {
            id: 'weaving',
            name: 'weaving wire',
            cutFrom: 'weaving',
            size: weaving,
            first: [
              {
                kind: 'wound',
                name: term.name,
                on: frames.map(({ id }) => ({
                  wire: id,
                  from: -(covered + squeezed) / 2,
                  towards: 'first' as const,
                })),
                groups: [...Array.from({ length: repeats }, () => repeat).flat(), ...close],
              },
            ],
            second: [],
            tails: { first: weavingTail, second: weavingTail },
          },
        ],
      },
      {
        middle: {
          ...Object.fromEntries(frames.map(({ id }) => [id, 'middle: the top of the bail'])),
          weaving: 'begin to weave',
        },
        tails: 'tails',
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'weave',
          name: 'weave the strip',
          minutes: 2 + minutesToWeave(made.value),
          cautions: ['gripping'],
        },
        { id: 'fold', name: 'fold it over a mandrel', minutes: 1 },
        { id: 'hang', name: 'thread what the bail shall hold', minutes: 0.5 },
        { id: 'bind', name: 'bind the neck and tuck the ends', minutes: 4, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'weave', then: 'fold', why: 'a folded strip cannot be woven' },
        { first: 'hang', then: 'bind', why: 'a closed ring does not pass a bail that is bound' },
      ],
      notes: [
        `${counted(repeats, 'repeat')} over ${said(covered)} of flat weave, ${said(whole)} along the wires over the mandrel.`,
      ],
    });
  },
});
