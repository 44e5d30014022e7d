'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { tag } from '@/core/tag';
import type { PlaceView } from '@/studio/stock/places';
import { RenamePlaceInput } from '@/studio/stock/places.input';
import { Fold } from '@/ui/Fold';
import { ActForm } from '@/ui/form/ActForm';
import { TextField } from '@/ui/form/fields';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { orderPlacesAction, renamePlaceAction, startCountAction } from './actions';

/** The places, in the order one goes round them: each may be counted, moved up or down, or called something else. */
export function PlaceList({ places }: { places: readonly PlaceView[] }) {
  const router = useRouter();
  const { busy, problem, run } = useAct();
  const start = (placeId: string | null) =>
    run(
      () => startCountAction(newKey(), placeId),
      ({ number }) => router.push(`/counts/${tag('count', number)}`),
    );
  const move = (index: number, by: number) => {
    const ids = places.map(({ id }) => id);
    const [moved] = ids.splice(index, 1);
    if (moved === undefined) return;
    ids.splice(index + by, 0, moved);
    void run(
      () => orderPlacesAction(newKey(), ids),
      () => router.refresh(),
    );
  };
  return (
    <section className="leaf p-4">
      <h2>Places, in the order one goes round</h2>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-error bg-error/10 p-3 font-semibold">
          {problem}
        </p>
      )}
      <ol className="mt-2">
        {places.map(({ id, name, pieces }, index) => (
          <li key={id} className="flex min-h-14 flex-wrap items-center gap-2 border-b border-base-300 py-1">
            <span className="min-w-0 grow">
              <span className="font-semibold">{name}</span> <span className="muted">{pieces} in it</span>
            </span>
            <button
              type="button"
              className="btn btn-ghost btn-sm min-h-11"
              disabled={busy || index === 0}
              onClick={() => move(index, -1)}
            >
              <ArrowUp size={16} aria-hidden="true" />
              <span className="sr-only">Move {name} up</span>
            </button>
            <button
              type="button"
              className="btn btn-ghost btn-sm min-h-11"
              disabled={busy || index === places.length - 1}
              onClick={() => move(index, 1)}
            >
              <ArrowDown size={16} aria-hidden="true" />
              <span className="sr-only">Move {name} down</span>
            </button>
            <button type="button" className="btn min-h-11" disabled={busy} onClick={() => void start(id)}>
              Count {name}
            </button>
          </li>
        ))}
        <li className="flex min-h-14 flex-wrap items-center gap-2 py-1">
          <span className="grow">What lies in no place</span>
          <button type="button" className="btn min-h-11" disabled={busy} onClick={() => void start(null)}>
            Count it
          </button>
        </li>
      </ol>
      {places.length > 0 && (
        <Fold title="Call a place something else">
          {places.map((place) => (
            <Rename key={`${place.id} ${place.name}`} place={place} />
          ))}
        </Fold>
      )}
    </section>
  );
}

function Rename({ place: { id, name } }: { place: PlaceView }) {
  const onDone = useDone(() => 'It is called that now.');
  return (
    <ActForm
      className=""
      input={RenamePlaceInput}
      defaultValues={{ name }}
      send={(key, input) => renamePlaceAction(key, id, input)}
      onDone={onDone}
      action={`Rename ${name}`}
      busy="Renaming …"
    >
      {(control) => <TextField control={control} name="name" label={`Another name for ${name}`} />}
    </ActForm>
  );
}
