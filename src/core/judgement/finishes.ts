import { metalOf, type Finish, type MetalId } from '../wire/metal';
import { advice, type Judgement } from './judgement';

/** What may be done to a wire that its finish forbids. */
export const ACTS = ['antiquing', 'hammering', 'filing', 'marking'] as const;
export type Act = (typeof ACTS)[number];

/** Metals that an oxidising bath darkens well (common practice). */
const ANTIQUED_WELL: readonly MetalId[] = ['copper', 'bronze', 'fine-silver', 'sterling'];

/**
 * What a finish forbids of what is to be done (common practice, handbook of the trade).
 * @param about the wire it concerns
 */
export function judgeFinish(
  { metal, finish }: { readonly metal: MetalId; readonly finish: Finish },
  acts: readonly Act[],
  about: string,
): Judgement[] {
  const judgements: Judgement[] = [];
  const bare = finish === 'bare';
  if (acts.includes('antiquing')) {
    if (!bare)
      judgements.push(
        advice(
          about,
          `${finish === 'coated' ? 'Coated' : 'Plated'} wire cannot be antiqued.`,
          'An oxidising bath does not reach the metal beneath, and stains what lies over it.',
          'Take bare wire, or leave the bath out.',
        ),
      );
    else if (!ANTIQUED_WELL.includes(metal))
      judgements.push(
        advice(
          about,
          `${metalOf(metal).name} does not antique well.`.replace(/^./, (first) => first.toUpperCase()),
          'The bath hardly darkens it.',
          'Bare copper, bronze, fine and sterling silver do.',
        ),
      );
  }
  if (!bare && acts.includes('hammering'))
    judgements.push(
      advice(
        about,
        `${finish === 'coated' ? 'Coated' : 'Plated'} wire should not be hammered.`,
        'The blows break what lies over the metal.',
        'Take bare wire, or use a nylon mallet over leather.',
      ),
    );
  if (!bare && acts.includes('filing'))
    judgements.push(
      advice(
        about,
        `${finish === 'coated' ? 'Coated' : 'Plated'} wire should not be filed where it shows.`,
        'The core shows beneath.',
        'Take bare wire, or hide the filed ends.',
      ),
    );
  if (finish === 'coated' && acts.includes('marking'))
    judgements.push(
      advice(
        about,
        'Mark coated wire with tape, not with ink.',
        'Scrubbing marker ink off with a solvent lifts the coating.',
        'Lay it against the cut strip, or mark it with tape.',
      ),
    );
  return judgements;
}
