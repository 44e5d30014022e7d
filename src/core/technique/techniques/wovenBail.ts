import { counted } from '../../units/counted';
import { ok } from '../../result';
import { length, roundWire, weave, wire } from '../parameter';
import { said, technique } from '../technique';
import { cutsOfStrip, minutesToWeave, stripOf } from '../woven';

/** A strip of weave folded over a mandrel to be a bail. */
export const wovenBail = technique({
  id: 'woven-bail',
  title: 'Woven bail',
  group: 'findings',
  source: 'a strip as long as its way over the mandrel, π(a + 2d + D)/2 and two legs, woven by its notation',
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
    // The weaving wire lies between the mandrel and the frame wires.
    const strip = (Math.PI * (inside + 2 * weaving.width + base.width)) / 2 + 2 * leg;
    const made = stripOf(woven, base, weaving, strip);
    if (!made.ok) return made;
    const { covered, repeats } = made.value;
    return ok({
      cuts: cutsOfStrip(made.value, { frame: tail, weaving: weavingTail }, 'middle: the top of the bail'),
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
      notes: [`${counted(repeats, 'repeat')} over ${said(covered)} of the ${said(strip)} over the mandrel.`],
    });
  },
});
