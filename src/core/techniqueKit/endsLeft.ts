import type { Leaving, TakenEnd } from '../technique/act';

/** Ends as a technique leaves them that took them: in their order, “end 1” the first. */
export const endsLeft = (ends: readonly TakenEnd[]): readonly Leaving[] =>
  ends.map(({ wire, side, label }, index) => ({ id: `end ${index + 1}`, label, takes: 'end', wire, side }));
