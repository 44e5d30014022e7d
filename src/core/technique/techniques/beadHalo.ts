import { counted } from '../../units/counted';
import { parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../outline/outlineOf';
import { ok, refuse } from '../../result';
import { boundBeads as boundOn, threaded, through } from '../boundBead';
import { beadLength, count, drilled, length, roundWire, stone, wire } from '../parameter';
import { allRound, moved, setAt } from '../shapes';
import { allowance, net, said, technique } from '../technique';

/** Beads all round a framed stone, each bound to the frame with wraps between. */
export const beadHalo = technique({
  id: 'bead-halo',
  title: 'Halo of beads round a stone',
  group: 'beads',
  source:
    'n = ⌊P/(b + w·d)⌋ beads where their holes lie, P round; n·w wraps, n·b through the beads and the rise to each hole, 2(√(h² − r²) − r·acos(r/h))',
  parameters: {
    stone: stone('Stone', { outline: 'oval', length: 18, width: 13, depth: 6, edge: 2 }),
    frame: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Binding wire', roundWire(0.321), 'weaving'),
    bead: beadLength('Bead, along its hole', 2.5, 0.5, 20),
    drilled: drilled(0.8),
    through,
    wraps: count('Wraps between beads', 3, 1, 30),
    tail: length('Tail at each end', 60, 0, 200),
  },
  plan: ({ stone: held, frame, wire: thin, bead, wraps, tail, through: times }) => {
    const thread = threaded(bead, thin.width, times);
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const line = parallelOf(outline.value, frame.width / 2);
    const round = perimeterOf(line);
    const bound = boundOn(frame, thin, wraps, bead);
    // The beads lie outside the frame, their holes along it.
    const outside = parallelOf(outline.value, frame.width + bead / 2);
    const far = perimeterOf(outside);
    const beads = Math.floor(Math.min(far / (bead + bound.along), round / bound.along) + 1e-9);
    if (beads < 3)
      return refuse(
        `Where beads would lie it is ${said(far)} round; a halo is three beads at least, which take ${said(3 * (bead + bound.along))}.`,
      );
    const step = round / beads;
    const spare = far - beads * (bead + bound.along);
    const laid = Array.from({ length: beads }, (_, index) => [
      setAt(moved(bound.path(true, true), -bound.along / 2, 0), placeAt(line, step * index)),
      ...thread.paths.map((path) =>
        setAt(moved(path, -bead / 2, 0), placeAt(outside, (far * (index + 0.5)) / beads)),
      ),
    ]).flat();
    return ok({
      cuts: [
        {
          name: 'binding wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(counted(beads * wraps, 'wrap'), beads * bound.wraps),
            net(`through ${counted(beads, 'bead')}`, beads * thread.inside),
            ...(thread.back > 0 ? [net('back round each bead', beads * thread.back)] : []),
            net('up to the holes and down again', beads * bound.rise),
            allowance('tails', 2 * tail),
          ],
          marks: [{ at: tail, what: 'begin to wrap, at the top' }],
          drawn: laid,
        },
      ],
      steps: [
        { id: 'count-out', name: 'count out the beads, alike on both sides', minutes: 1 + beads * 0.05 },
        { id: 'bind', name: 'bind them on, from the top and back to it', minutes: 1 + beads * 0.9 },
        { id: 'tuck', name: 'trim and tuck', minutes: 1, cautions: ['cut ends'] },
      ],
      order: [{ first: 'count-out', then: 'bind', why: 'a strand that runs out leaves the halo open' }],
      solids: [
        { kind: 'outline', outline: outline.value },
        { kind: 'wire', wire: 'frame', path: allRound(line) },
        ...Array.from({ length: beads }, (_, index) => ({
          kind: 'disc' as const,
          ...placeAt(outside, (far * (index + 0.5)) / beads).point,
          diameter: bead,
        })),
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [
        `${counted(beads, 'bead')} go round; ${said(spare / beads)} are left over at each, so spread the wraps evenly.`,
      ],
    });
  },
});
