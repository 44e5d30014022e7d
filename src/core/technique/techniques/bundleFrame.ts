import { judgeReach } from '../../judgement/holds';
import { counted } from '../../units/counted';
import { parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../outline/outlineOf';
import { refuse } from '../../result';
import { count, length, roundWire, stone, wire } from '../parameter';
import { allRound, laidInParts, moved, stoodUp, straight } from '../shapes';
import { allowance, evenHolds, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';

/** Frame wires side by side round the edge of a stone, bound together, their ends a bail. */
export const bundleFrame = technique({
  id: 'bundle-frame',
  title: 'Bundle frame round a stone',
  group: 'holding a stone',
  source: 'each wire is the outline’s perimeter + πD (parallel curve at D/2); bound by wraps round k wires',
  parameters: {
    stone: stone('Stone', { outline: 'teardrop', length: 18, width: 13, depth: 5, edge: 2 }),
    wire: wire('Frame wire', roundWire(0.812), 'frame'),
    wires: count('Frame wires', 3, 1, 12),
    binding: wire('Binding wire', roundWire(0.321), 'bundle binding'),
    bound: length('Bound along the frame and the bail, together', 40, 0, 500),
    bail: length('Bail from the ends, to each side', 12, 0, 80),
    holds: count('Places held in front', 4, 1, 16),
    reach: length('Each reaches over the edge', 1, 0, 20),
    tail: length('Handling tail at each end of a frame wire', 60, 0, 200),
    bindingTail: length('Tail at each end of the binding wire', 60, 0, 200),
  },
  plan: ({ stone: held, wire: frame, wires, binding, bound, bail, holds, reach, tail, bindingTail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const D = frame.width;
    const round = parallelOf(outline.value, D / 2);
    const room = perimeterOf(round) + 2 * bail;
    if (bound > room)
      return refuse(
        `The frame and the bail are ${said(room)} long together; ${said(bound)} of binding do not lie along them.`,
      );
    const wraps = Math.ceil(bound / binding.width);
    const wound = winding(frameRow(frame, wires), binding, wraps);
    const top = placeAt(round, 0).point;
    const half = perimeterOf(round) / 2;
    const frameRound = allRound(round);
    const [begins, ends] = [top.x + D / 2, top.x - D / 2];
    const down = straight(begins, top.y - bail, begins, top.y);
    const up = straight(ends, top.y, ends, top.y - bail);
    const foot = bail + half;
    return {
      ok: true,
      value: {
        cuts: [
          {
            name: 'frame wire',
            wire: 'wire',
            count: wires,
            terms: [
              net('round the stone', perimeterOf(round)),
              net('bail from the ends', 2 * bail),
              allowance('handling tails', 2 * tail),
            ],
            marks: [
              { at: tail + bail, what: 'the frame begins' },
              { at: tail + bail + half, what: 'middle: the foot of the stone' },
              { at: tail + bail + 2 * half, what: 'the frame ends' },
            ],
            drawn: [frameRound, down, up],
          },
          {
            name: 'binding wire',
            wire: 'binding',
            count: 1,
            terms: [
              net(`${counted(wraps, 'wrap')} round ${counted(wires, 'wire')}`, wound.length),
              allowance('tails', 2 * bindingTail),
            ],
            marks: [{ at: bindingTail, what: 'begin to bind' }],
            // Both ways from the foot of the stone, up the bail when the frame is bound all round; the wires stack away from the eye.
            drawn: laidInParts(
              moved(stoodUp(wound.path), foot - wound.along / 2, 0),
              bail > 0 ? [down, frameRound, up] : [frameRound],
            ),
          },
        ],
        steps: [
          { id: 'straighten', name: 'straighten the frame wires', minutes: 2 },
          { id: 'bind', name: 'bind them side by side', minutes: 2 + wraps * 0.08, cautions: ['cut ends'] },
          { id: 'form', name: 'form the frame to the stone', minutes: 5 },
          { id: 'try', name: 'try the stone', minutes: 1 },
          { id: 'close', name: 'close the top', minutes: 4 },
          { id: 'back', name: 'turn the back holds', minutes: 4, cautions: ['piercing'] },
          { id: 'front', name: 'turn the front holds', minutes: 5, cautions: ['piercing'] },
          { id: 'thread-jump-ring', name: 'thread what the bail shall hold', minutes: 0.5 },
          { id: 'bail', name: 'fold the bail and bind it', minutes: 6 },
          { id: 'tuck', name: 'trim and tuck every end', minutes: 4, cautions: ['cut ends'] },
        ],
        order: [
          {
            first: 'try',
            then: 'close',
            why: 'a frame that is closed cannot be formed to the stone any more',
          },
          { first: 'back', then: 'front', why: 'the front holds pull against the back ones' },
          { first: 'thread-jump-ring', then: 'bail', why: 'a closed jump ring does not pass a folded bail' },
        ],
        solids: [{ kind: 'outline', outline: outline.value }],
        stacked: { wires, thick: D, edge: held.edge, about: 'wires' },
        holds: evenHolds(perimeterOf(outline.value), holds, reach),
        advice: holds > 0 ? judgeReach(reach, D, held.edge, 'reach') : [],
        parts: [],
        notes: [
          `The stone is ${said(perimeterOf(outline.value))} round; the wires run half their thickness outside of it.`,
        ],
      },
    };
  },
});
