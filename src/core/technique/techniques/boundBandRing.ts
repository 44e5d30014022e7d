import { counted } from '../../units/counted';
import { ring } from '../formulas';
import { count, length, wire } from '../parameter';
import { bow, moved, stoodUp, turned } from '../shapes';
import { allowance, net, said, technique } from '../technique';
import { bendOf, frameRow, winding } from '../winding';
import { insideWanted, ringStart } from '../ringStart';

/** Wires side by side, bound flat with bands of half-round wire and bent to a ring. */
export const boundBandRing = technique({
  id: 'bound-band-ring',
  title: 'Multi-wire bound band',
  group: 'rings',
  source:
    'π(a + 2h + D) for every wire, over bindings of height h; bands are wraps with the centroid of their half disc, 0.424 h, off the wires',
  parameters: {
    wire: wire('Band wires', { profile: 'square', width: 0.812, height: 0.812 }, 'band'),
    wires: count('Wires side by side', 5, 1, 12),
    inside: insideWanted,
    binding: wire('Binding wire', { profile: 'half-round', width: 0.723, height: 0.36 }, 'binding'),
    bands: count('Bindings', 3, 1, 12),
    turns: count('Turns of each binding', 4, 1, 20),
    tail: length('Overlap and tail at each end', 10, 0, 100),
    bindingTail: length('Held and trimmed at each end of a binding', 5, 0, 60),
  },
  plan: ({ wire: band, wires, inside, binding, bands, turns, tail, bindingTail }) => {
    const D = band.width;
    const start = ringStart('bound-band-ring', inside, wires * D);
    // The bindings lie between the finger and the wires.
    const lined = start.begun.diameter + 2 * bendOf(binding).height;
    const round = ring(lined, D);
    const bound = winding(frameRow(band, wires), binding, turns);
    const radius = (lined + D) / 2;
    const wireAt = (index: number) =>
      bow(0, 0, radius, -Math.PI / 2, 2 * Math.PI, (index - (wires - 1) / 2) * D);
    const upright = stoodUp(moved(bound.path, -bound.along / 2, 0));
    const laid = Array.from({ length: bands }, (_, index) => {
      const angle = (2 * Math.PI * index) / bands;
      return moved(turned(upright, angle), radius * Math.sin(angle), -radius * Math.cos(angle));
    });
    return {
      cuts: [
        {
          name: 'band wire',
          wire: 'wire',
          count: wires,
          terms: [net('round the finger', round), allowance('overlap and tails', 2 * tail)],
          marks: [
            { at: tail, what: 'the ring closes here' },
            { at: tail + round / 2, what: 'middle: the back of the hand' },
            { at: tail + round, what: 'and here' },
          ],
          drawn: [wireAt(0)],
          places: Array.from({ length: wires - 1 }, (_, index) => wireAt(index + 1)),
        },
        {
          name: 'binding',
          wire: 'binding',
          count: bands,
          terms: [
            net(`${counted(turns, 'turn')} round ${counted(wires, 'wire')}`, bound.length),
            allowance('held and trimmed', 2 * bindingTail),
          ],
          marks: [{ at: bindingTail, what: 'begin to wrap' }],
          drawn: laid.slice(0, 1),
          places: laid.slice(1),
        },
      ],
      steps: [
        { id: 'straighten', name: 'straighten the wires and lay them flat', minutes: 2 },
        {
          id: 'bind',
          name: 'bind them flat, from the middle outward',
          minutes: 1 + bands * 2.5,
          cautions: ['cut ends'],
        },
        { id: 'bend', name: 'bend the band on the mandrel', minutes: 3 },
        { id: 'close', name: 'close the ring, trim and tuck', minutes: 5, cautions: ['cut ends'] },
        {
          id: 'harden',
          name: 'harden it with a mallet, turning it round between',
          minutes: 2,
          cautions: ['hammering'],
        },
      ],
      order: [{ first: 'bind', then: 'bend', why: 'wires that are bent one by one do not lie flat' }],
      notes: [start.note, `The band is ${said(wires * D)} wide.`],
    };
  },
});
