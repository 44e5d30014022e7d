'use client';

import { useCallback } from 'react';
import { spoolIn, type Said, type Sitting, type WeighedWhen } from '@/core/bench/sitting';
import { workedOff } from '@/core/bench/wireDone';
import { counted } from '@/core/units/counted';
import { formatMass, ug } from '@/core/units/mass';
import { readInput } from '@/studio/kernel/readInput';
import { WeighSpoolInput } from '@/studio/sittings/sittings.input';
import { MassField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { Fold } from '@/ui/Fold';
import { Said as Words } from '@/ui/house';
import { Reckoned } from '@/ui/lengths';
import { useStudioForm } from '@/ui/form/useStudioForm';
import type { ShownSitting } from './shown';

interface WeighSpoolProps {
  readonly view: ShownSitting['view'];
  readonly cutIndex: number;
  readonly sitting: Sitting;
  readonly say: (...said: readonly Said[]) => void;
}

const LABELS: Readonly<Record<WeighedWhen, string>> = {
  before: 'Spool before the first piece',
  after: 'Spool after the last piece',
};

/** A spool goes onto the scale, with the wire that is still on it: what it weighs less in the end is what was worked off it. */
function WeighSpool({ cutIndex, sitting, say, when }: WeighSpoolProps & { when: WeighedWhen }) {
  const kept = spoolIn(sitting, cutIndex)[when];
  const { form, submit, sending } = useStudioForm({
    input: WeighSpoolInput,
    defaultValues: { mass: kept === null ? '' : formatMass(kept) },
    send: useCallback(
      async (_: string, typed: WeighSpoolInput) => {
        const { mass } = await readInput(WeighSpoolInput, typed);
        say({ kind: 'spool', cutIndex, when, mass });
        return { ok: true as const, value: null };
      },
      [cutIndex, say, when],
    ),
    onDone: useCallback(() => undefined, []),
    // What is weighed stands in the sitting, on every device.
    typedFor: null,
  });
  return (
    <FormBox onSubmit={submit} className="mt-2 flex flex-wrap items-end gap-3">
      <div className="w-64">
        <MassField
          control={form.control}
          name="mass"
          label={LABELS[when]}
          bare="g"
          placeholder="52.3 g"
          hint={kept === null ? 'With the spool itself' : `Written down: ${formatMass(kept)}`}
        />
      </div>
      <button type="submit" className="btn min-h-12" disabled={sending}>
        Write it down
      </button>
      {kept !== null && (
        <button
          type="button"
          className="btn btn-ghost min-h-12"
          onClick={() => say({ kind: 'spool', cutIndex, when, mass: ug(0) })}
        >
          It was not weighed
        </button>
      )}
    </FormBox>
  );
}

/** Wire that is worked off its spool, as weaving wire often is, is not cut: the spool is weighed before the first piece, and after the last. */
export function SpoolsFirst({ view, sitting, say }: Omit<WeighSpoolProps, 'cutIndex'>) {
  return (
    <section className="leaf no-print px-4 py-2">
      <Fold
        title="Is any of it worked off its spool? Weigh the spool first"
        open={[...sitting.spools.values()].some(({ before }) => before !== null)}
      >
        <div className="divide-y divide-base-300">
          {view.cuts.map(({ name }, cutIndex) => (
            <div key={cutIndex} role="group" aria-label={name} className="py-2">
              <p className="font-semibold [overflow-wrap:anywhere]">{name}</p>
              <WeighSpool view={view} cutIndex={cutIndex} sitting={sitting} say={say} when="before" />
            </div>
          ))}
        </div>
      </Fold>
    </section>
  );
}

/** Spools that were weighed before are weighed again, and what was worked off them is told; nothing where none was. */
export function SpoolsAgain({ view, sitting, say }: Omit<WeighSpoolProps, 'cutIndex'>) {
  const weighed = view.cuts.flatMap((cut, cutIndex) =>
    spoolIn(sitting, cutIndex).before === null ? [] : [{ cut, cutIndex }],
  );
  if (weighed.length === 0) return null;
  return (
    <section className="leaf p-4">
      <h2>Weigh again what was worked off its spool</h2>
      {weighed.map(({ cut, cutIndex }) => (
        <div key={cutIndex} role="group" aria-label={cut.name} className="mt-2">
          <p className="font-semibold [overflow-wrap:anywhere]">{cut.name}</p>
          <WeighSpool view={view} cutIndex={cutIndex} sitting={sitting} say={say} when="after" />
          <Worked view={view} cutIndex={cutIndex} sitting={sitting} />
        </div>
      ))}
    </section>
  );
}

/** What a spool that was weighed twice gave. */
function Worked({ view, cutIndex, sitting }: Omit<WeighSpoolProps, 'say'>) {
  const cut = view.cuts[cutIndex];
  const spec = cut && view.specs[cut.specId];
  const { before, after } = spoolIn(sitting, cutIndex);
  if (!cut || !spec || before === null) return null;
  if (after === null) return <p className="muted mt-1">Until it is weighed, it counts as it was laid out.</p>;
  const wires = cut.count * view.count;
  const each = workedOff(sitting, cutIndex, wires, spec);
  if (each === null)
    return (
      <p role="alert" className="mt-1 font-semibold text-error">
        <Words>{`It weighed ${formatMass(before)} before and ${formatMass(after)} after: after the work it is lighter, by more than what was spoiled of it. It counts as it was laid out.`}</Words>
      </p>
    );
  return (
    <p role="status" className="mt-1">
      <Words>{formatMass(ug(before - after))}</Words> less: <Reckoned of={each} /> for each of{' '}
      {counted(wires, 'wire', 'wires')}.
    </p>
  );
}
