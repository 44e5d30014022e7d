import { useId } from 'react';

/** A piece that is turned by the one who looks at it. */
export const IN_THE_ROUND = 'in the round';

/** From where a piece is looked at, to be chosen. */
export function SeenFrom<V extends string>({
  views,
  shown,
  choose,
}: {
  views: readonly V[];
  shown: V;
  choose: (view: V) => void;
}) {
  const group = useId();
  return (
    <div className="no-print mt-1 flex flex-wrap gap-x-4" role="radiogroup" aria-label="Seen from">
      {views.map((each) => (
        <label key={each} className="flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="radio"
            name={group}
            className="radio radio-sm"
            checked={shown === each}
            onChange={() => choose(each)}
          />
          {each}
        </label>
      ))}
    </div>
  );
}
