'use client';

import { memo, useId } from 'react';
import type { Trial } from '@/core/pattern/goneOn';
import type { Offer } from '@/core/technique/joinActs';
import { takesFor, type GoingOn } from '@/core/plan/takesFor';
import { mm } from '@/core/units/length';
import { Said } from '@/ui/house';
import { Reckoned } from '@/ui/lengths';

/** What is picked does next, as a maker says it. */
const doesNext = (technique: GoingOn, picked: readonly Offer[]): string => {
  const takes = takesFor(technique, picked) ?? {};
  return technique.ports
    .filter(({ key }) => key in takes)
    .map(({ does }) => does)
    .join(', and ');
};

/** What a technique comes to that is tried: the wires that it takes, and the time. */
function TrialSaid({ trial: { refusal, grown, minutes } }: { readonly trial: Trial }) {
  if (refusal)
    return (
      <p className="border-l-4 border-error bg-error/10 p-2 text-sm">
        <strong>As it is proposed it cannot be made.</strong> <Said>{refusal}</Said>
      </p>
    );
  return (
    <p className="text-sm">
      {grown.map(({ wire, name, cut, was }) => (
        <span key={wire} className="mr-3 inline-block">
          <span className="font-semibold">{name}</span> <Reckoned of={mm(cut)} cut />
          {was === undefined ? ', a wire of its own' : was < cut ? ', ' : ', shorter by '}
          {was !== undefined && <Reckoned of={mm(Math.abs(cut - was))} />}
          {was !== undefined && was < cut && ' more'}
        </span>
      ))}
      <span className="muted">{Number(minutes.toFixed(1))} minutes more</span>
    </p>
  );
}

/** What was picked does next: tried on the picture first, then taken. */
export const NextAct = memo(function NextAct({
  picked,
  able,
  trying,
  trial,
  onTry,
  onTake,
  onLetGo,
}: {
  readonly picked: readonly Offer[];
  /** What goes on from all of it together. */
  readonly able: readonly GoingOn[];
  /** The id of what is tried; empty when nothing is. */
  readonly trying: string;
  readonly trial: Trial | undefined;
  readonly onTry: (id: string) => void;
  readonly onTake: (id: string) => void;
  /** Picks nothing any more. */
  readonly onLetGo: () => void;
}) {
  const group = useId();
  const [first, ...others] = picked;
  return (
    <form
      className="mt-3 border-t border-base-300 pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (trying) onTake(trying);
      }}
    >
      <fieldset>
        <legend className="font-display text-lg font-semibold">
          {others.length > 0 ? `What these ${picked.length} do next` : `What ${first?.label} does next`}
        </legend>
        {able.length === 0 && (
          <p className="muted text-sm">
            Nothing takes up {picked.map(({ label }) => label).join('; ')} together; pick others.
          </p>
        )}
        <div className="grid gap-x-4 sm:grid-cols-2 xl:grid-cols-3">
          {able.map((each) => (
            <label key={each.id} className="flex min-h-11 cursor-pointer items-center gap-2">
              <input
                type="radio"
                name={group}
                className="radio radio-sm"
                checked={trying === each.id}
                onChange={() => onTry(each.id)}
              />
              <span>
                {doesNext(each, picked)} <span className="muted text-sm">{each.title}</span>
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      <div className="mt-2 min-h-6" aria-live="polite">
        {trial ? (
          <TrialSaid trial={trial} />
        ) : (
          <p className="muted text-sm">Choose one to see it on the picture.</p>
        )}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="submit" className="btn" disabled={!trying}>
          Take it
        </button>
        <button type="button" className="btn btn-ghost" onClick={onLetGo}>
          Pick nothing
        </button>
      </div>
    </form>
  );
});
