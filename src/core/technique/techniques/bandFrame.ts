import { counted } from '../../units/counted';
import { parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../outline/outlineOf';
import { ok, refuse } from '../../result';
import { count, length, roundWire, stone, wire } from '../parameter';
import { allRound, moved, setAt, stoodUp, straight } from '../shapes';
import { allowance, evenHolds, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';

/** One wire bent to the outline of a stone in front and behind it, its rounds bound together with bands of half-round wire. */
export const bandFrame = technique({
  id: 'band-frame',
  title: 'Outline frame with half-round bands',
  group: 'holding a stone',
  source:
    'each round is the outline’s perimeter + πD (parallel curve at D/2); a band is wraps with the centroid of its half disc, 0.424 h, off the frame',
  parameters: {
    stone: stone('Stone', { outline: 'crescent', length: 40, width: 18, depth: 6, edge: 4 }),
    wire: wire('Frame wire', roundWire(1.024), 'frame'),
    rounds: count(
      'Rounds of the frame wire',
      2,
      1,
      6,
      'One in front of the edge and one behind it hold the stone',
    ),
    band: wire('Band wire', { profile: 'half-round', width: 1.024, height: 0.512 }, 'binding'),
    bands: count('Bands', 6, 1, 40),
    turns: count('Turns of each band', 4, 1, 20),
    bail: length('Bail from each end', 25, 0, 80),
    tail: length('Handling tail at each end of the frame wire', 60, 0, 200),
    bandTail: length('Held and trimmed at each end of a band', 5, 0, 60),
  },
  plan: ({ stone: held, wire: frame, rounds, band, bands, turns, bail, tail, bandTail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const D = frame.width;
    const line = parallelOf(outline.value, D / 2);
    const round = perimeterOf(line);
    const gap = rounds > 1 ? Math.max(0, (held.edge - rounds * D) / (rounds - 1)) : 0;
    const bound = winding(frameRow(frame, rounds, gap), band, turns);
    if (bands * bound.along > round)
      return refuse(
        `${counted(bands, 'band')} of ${said(bound.along)} are ${said(bands * bound.along)}; the frame is ${said(round)} round.`,
      );
    const height = (index: number) => (index - (rounds - 1) / 2) * (D + gap);
    const upright = stoodUp(moved(bound.path, -bound.along / 2, 0));
    const laid = Array.from({ length: bands }, (_, index) =>
      setAt(upright, placeAt(line, (round * (index + 0.5)) / bands)),
    );
    const top = placeAt(line, 0).point;
    return ok({
      cuts: [
        {
          name: 'frame wire',
          wire: 'wire',
          count: 1,
          terms: [
            net(`${counted(rounds, 'round')} of the stone`, rounds * round),
            net('bail from the ends', 2 * bail),
            allowance('handling tails', 2 * tail),
          ],
          marks: Array.from({ length: rounds + 1 }, (_, index) => ({
            at: tail + bail + index * round,
            what: index === 0 ? 'the frame begins' : `round ${index} ends`,
          })),
          drawn: [
            ...Array.from({ length: rounds }, (_, index) => allRound(line, height(index))),
            straight(top.x - D / 2, top.y, top.x - D / 2, top.y - bail),
            straight(top.x + D / 2, top.y, top.x + D / 2, top.y - bail),
          ],
        },
        {
          name: 'band',
          wire: 'band',
          count: bands,
          terms: [
            net(`${counted(turns, 'turn')} round ${counted(rounds, 'wire')}`, bound.length),
            allowance('held and trimmed', 2 * bandTail),
          ],
          marks: [{ at: bandTail, what: 'begin to wrap' }],
          drawn: laid.slice(0, 1),
          places: laid.slice(1),
        },
      ],
      steps: [
        { id: 'straighten', name: 'straighten the frame wire', minutes: 1 },
        { id: 'form', name: 'form the rounds to the stone, alike', minutes: 3 + 3 * rounds },
        { id: 'try', name: 'try the stone between them', minutes: 1 },
        { id: 'bands-foot', name: 'bind the bands at the foot', minutes: bands, cautions: ['cut ends'] },
        { id: 'stone', name: 'put the stone in', minutes: 1 },
        { id: 'bands-top', name: 'bind the bands at the top', minutes: bands, cautions: ['cut ends'] },
        { id: 'thread-jump-ring', name: 'thread what the bail shall hold', minutes: 0.5 },
        { id: 'bail', name: 'fold the bail', minutes: 4 },
        { id: 'tuck', name: 'trim and tuck every end', minutes: 3, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'try', then: 'bands-foot', why: 'bound rounds cannot be formed to the stone any more' },
        {
          first: 'stone',
          then: 'bands-top',
          why: 'the stone does not pass rounds that are bound at both ends',
        },
        { first: 'thread-jump-ring', then: 'bail', why: 'a closed jump ring does not pass a folded bail' },
      ],
      holds: evenHolds(perimeterOf(outline.value), bands, D),
      solids: [{ kind: 'outline', outline: outline.value }],
      notes: [
        `A band is ${said(bound.along)} wide; one round of the stone has room for ${Math.floor(round / Math.max(bound.along, 0.01))}.`,
      ],
    });
  },
});
