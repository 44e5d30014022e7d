import type { Micrometres } from '@/core/units/length';
import { Reckoned } from '../lengths';

/** A mark along a wire, from its left end. */
export interface WireMark {
  readonly at: Micrometres;
  readonly what: string;
}

/** What happens where along a wire, in words. */
export function MarkList({ marks, on }: { marks: readonly WireMark[]; on: string }) {
  if (marks.length === 0) return null;
  return (
    <ol className="mt-1 flex flex-wrap gap-x-4 text-sm" aria-label={`Marks on ${on}`}>
      {marks.map(({ at, what }) => (
        <li key={`${at} ${what}`}>
          <span className="font-semibold">
            <Reckoned of={at} />
          </span>{' '}
          {what}
        </li>
      ))}
    </ol>
  );
}
