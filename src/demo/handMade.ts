import { formatLength, um } from '@/core/units/length';
import type { MakePieceInput } from '@/studio/making/makePiece.input';
import type { MakingProposal } from '@/studio/making/proposeMaking';
import type { Chance } from '@/core/chance';

const REASONS = [
  'cut too short',
  'snapped at a kink',
  'marred by pliers',
  'wrong wire cut',
  'bent out of shape',
];

/** What a real hand does with a proposal: cuts a little long, trims a little back, sometimes spoils one. */
export function handMade({ cuts, parts, minutes }: MakingProposal, hand: Chance): MakePieceInput {
  const text = (length: number) => formatLength(um(Math.round(length)), 'mm');
  const done = cuts.map(({ cutIndex, copy, from, length }) => {
    const generous = hand.happens(0.4);
    return {
      cutIndex,
      copy,
      from: from ?? '',
      cut: text(length),
      back: generous ? text(length * hand.between(0.06, 0.5)) : '0 mm',
    };
  });
  const [first] = done;
  const spoils = first !== undefined && hand.happens(0.14);
  const spread = () => hand.between(0.85, 1.3);
  return {
    cuts: done,
    spoiled: spoils
      ? [{ from: first.from, length: text(hand.between(8_000, 60_000)), reason: hand.pick(REASONS) }]
      : [],
    // Most stones of two years were bought for their piece; the tray holds what was bought besides.
    parts: parts.flatMap(({ part, picks, choices }) =>
      picks.map(({ from, count }) => ({
        part,
        from: choices.some(({ id, ware }) => id === from && ware === 'stone') ? '' : (from ?? ''),
        count: String(count),
      })),
    ),
    minutes: String(Math.round(minutes.each * spread())),
    setUpMinutes: String(minutes.setUp),
    sharedBy: String(hand.pick([1, 1, 2, 3, 4])),
  };
}
