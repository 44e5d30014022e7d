import { ok } from '../../result';
import { length, roundWire, weave, wire } from '../parameter';
import { straight } from '../shapes';
import { said, technique } from '../technique';
import { bent, cutsOfStrip, inSteps, minutesToWeave, stripOf } from '../woven';
import { ring } from '../formulas';
import { insideWanted, ringStart } from '../ringStart';

/** A woven band round the finger, the ends of its frame wires turned up as prongs for a small stone. */
export const wovenBandRing = technique({
  id: 'woven-band-ring',
  title: 'Woven band ring with prongs',
  group: 'rings',
  source:
    'frame wires of π(a + 2d + D) at the starting size, woven as far as whole repeats go, prongs as long as the stone wants: plane geometry',
  parameters: {
    weave: weave('Weave', {
      repeat: [
        { kind: 'wrap', first: 0, last: 0, wraps: 1 },
        { kind: 'wrap', first: 0, last: 1, wraps: 1 },
        { kind: 'wrap', first: 1, last: 2, wraps: 1 },
        { kind: 'wrap', first: 2, last: 2, wraps: 1 },
      ],
      close: [],
    }),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.321), 'weaving'),
    inside: insideWanted,
    prong: length('Prong at each end', 9, 2, 30),
    tail: length('Tail at each end of a frame wire', 15, 0, 100),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  plan: ({ weave: woven, base, weaving, inside, prong, tail, weavingTail }) => {
    const flat = stripOf(woven, base, weaving, 1);
    if (!flat.ok) return flat;
    const start = ringStart('woven-band-ring', inside, flat.value.across);
    // The weaving wire lies between the finger and the frame wires.
    const lined = start.begun.diameter + 2 * weaving.width;
    const round = ring(lined, base.width);
    const strip = stripOf(woven, base, weaving, round, 'within');
    if (!strip.ok) return strip;
    const { wires, frames, covered } = strip.value;
    const bare = round - covered;
    const radius = (lined + base.width) / 2;
    const [frame, thread] = cutsOfStrip(
      strip.value,
      { frame: tail, weaving: weavingTail },
      'middle: the back of the hand',
      { name: 'prongs', length: prong },
      { name: 'round the finger', length: round },
    );
    // The strip lies flat on the finger: its width runs along the eye’s axis.
    const laid = (paths: typeof frames) =>
      bent(
        paths.map((path) => path.map(({ x, y, z }) => ({ x, y: -z, z: y }))),
        radius,
        radius,
        -Math.PI / 2,
      );
    const bands = laid(
      frames.map((_, index) =>
        inSteps(straight(0, index * strip.value.step, round, index * strip.value.step)),
      ),
    );
    const prongs = [
      straight(-base.width, -radius, -base.width, -radius - prong),
      straight(base.width, -radius, base.width, -radius - prong),
    ];
    return ok({
      cuts: [
        {
          ...frame,
          drawn: [...bands.slice(0, 1), ...prongs],
          places: [...bands.slice(1), ...Array.from({ length: wires - 1 }, () => prongs).flat()],
        },
        { ...thread, drawn: laid(strip.value.weaving) },
      ],
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 1 },
        {
          id: 'weave',
          name: 'weave the band flat',
          minutes: 3 + minutesToWeave(strip.value),
          cautions: ['gripping'],
        },
        {
          id: 'bend',
          name: 'bend it on the mandrel and hammer it round',
          minutes: 4,
          cautions: ['hammering'],
        },
        { id: 'stone', name: 'seat the stone', minutes: 2 },
        { id: 'prongs', name: 'turn the prongs over its shoulder', minutes: 6, cautions: ['piercing'] },
        {
          id: 'tuck',
          name: 'trim, tuck, and read the size both ways round',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'weave', then: 'bend', why: 'a bent band cannot be woven' },
        { first: 'bend', then: 'stone', why: 'growing a ring after its stone is set pops the stone out' },
        { first: 'stone', then: 'prongs', why: 'the stone does not pass turned prongs' },
      ],
      parts: [{ name: 'small stone', count: 1 }],
      notes: [
        start.note,
        `The band is ${said(strip.value.across)} wide.`,
        bare > 0.05
          ? `${strip.value.repeats} whole repeats leave ${said(bare)} bare: begin another with ${Math.max(1, Math.round(bare / weaving.width))} of its turns, or leave it under the stone.`
          : 'Whole repeats go round without a rest.',
      ],
    });
  },
});
