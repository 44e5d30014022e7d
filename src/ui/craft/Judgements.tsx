import type { Judgement } from '@/core/judgement/judgement';
import { Said } from '../house';

/** What the trade has to say: each with its reason, and what would mend it. */
export function Judgements({ of }: { of: readonly Judgement[] }) {
  if (of.length === 0) return null;
  return (
    <ul className="space-y-2">
      {of.map(({ said, why, mend, weight, about }) => (
        <li
          key={`${about} ${said}`}
          className={`border-l-4 p-2 text-sm ${weight === 'fault' ? 'border-error bg-error/10' : 'border-warning bg-warning/15'}`}
        >
          <strong>
            <Said>{said}</Said>
          </strong>{' '}
          <Said>{`${why} ${mend}`}</Said>
        </li>
      ))}
    </ul>
  );
}
