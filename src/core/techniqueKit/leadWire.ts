import { advice } from '../judgement/judgement';
import type { Act, TakenWire } from '../technique/act';

/** What the foremost wire of a bundle may be. */
export const LEADS = ['like the others', 'of its own', 'of its own, twisted on its axis'] as const;
export const OWN_LEADS = ['of its own', 'of its own, twisted on its axis'] as const;

/** A wire that is twisted on its own axis comes round once over so many of its thicknesses (common practice: until it looks even). */
const TWIST = 5;

/** What it takes to twist the foremost wire on its own axis. @param then the step by which it must be twisted */
export function leadTwisted(
  [lead]: readonly Pick<TakenWire, 'size'>[],
  then: string,
): Required<Pick<Act, 'steps' | 'order' | 'advice'>> & { readonly turns: number } {
  return {
    turns: 1 / (TWIST * (lead?.size.width ?? 1)),
    steps: [{ id: 'twist', name: 'twist the lead wire on its own axis', minutes: 3 }],
    order: [{ first: 'twist', then, why: 'a wire that is bound or bent cannot be twisted evenly any more' }],
    advice:
      lead?.size.profile === 'round'
        ? [
            advice(
              'leadWire',
              'A round wire looks no different twisted',
              'it has no edges that wind round it',
              'take square wire for it',
            ),
          ]
        : [],
  };
}

/** How far the middle of each wire of a bundle lies behind that of the foremost, mm. @param apart between neighbours, for what is wound on them */
export function stackedBehind(frames: readonly Pick<TakenWire, 'size'>[], apart: number): readonly number[] {
  return frames.reduce<readonly number[]>((behind, { size }, index) => {
    const before = frames[index - 1];
    return before ? [...behind, (behind.at(-1) ?? 0) + (before.size.width + size.width) / 2 + apart] : [0];
  }, []);
}
