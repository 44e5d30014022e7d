import type { Judgement } from '@/core/judgement/judgement';
import { Said } from '../house';

/** Shows on a picture what a judgement is of. */
export interface JudgementShowing {
  readonly isShown: (judgement: Judgement) => boolean;
  readonly onShow: (judgement: Judgement) => void;
}

/** What the trade has to say: each with its reason, and what would mend it; where there is a picture, it shows what it is of. */
export function Judgements({
  of,
  showing,
}: {
  readonly of: readonly Judgement[];
  readonly showing?: JudgementShowing | undefined;
}) {
  if (of.length === 0) return null;
  return (
    <ul className="space-y-2">
      {of.map((judgement) => {
        const { said, why, mend, weight, about } = judgement;
        return (
          <li
            key={`${about} ${said}`}
            className={`border-l-4 p-2 text-sm ${weight === 'fault' ? 'border-error bg-error/10' : 'border-warning bg-warning/15'}`}
          >
            <strong>
              <Said>{said}</Said>
            </strong>{' '}
            <Said>{`${why} ${mend}`}</Said>
            {showing && (
              <button
                type="button"
                className="link mt-1 block min-h-6"
                aria-pressed={showing.isShown(judgement)}
                aria-label={`Show where: ${said}`}
                onClick={() => showing.onShow(judgement)}
              >
                {showing.isShown(judgement) ? 'Shown on the picture' : 'Show where'}
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
