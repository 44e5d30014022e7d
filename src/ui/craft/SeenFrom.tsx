import { useId } from 'react';
import { useTickedEarly } from '../form/useTypedEarly';

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
        <From key={each} group={group} view={each} isShown={shown === each} choose={() => choose(each)} />
      ))}
    </div>
  );
}

function From({
  group,
  view,
  isShown,
  choose,
}: {
  group: string;
  view: string;
  isShown: boolean;
  choose: () => void;
}) {
  const box = useTickedEarly(isShown, (isChosen) => isChosen && choose());
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2">
      <input
        ref={box}
        type="radio"
        name={group}
        className="radio radio-sm"
        checked={isShown}
        onChange={choose}
      />
      {view}
    </label>
  );
}
