'use client';

import { useCallback } from 'react';
import { Check, X } from 'lucide-react';
import {
  finishedInside,
  pieceIn,
  wireKey,
  type PieceSoFar,
  type Said,
  type Sitting,
} from '@/core/bench/sitting';
import { judgeWeight } from '@/core/bench/weight';
import { wantedCuts } from '@/core/pattern/pattern';
import { describeRing, ringOf } from '@/core/ring/ringSize';
import { sumLengths, um, UM_PER_MM, writableLength, writableLengths } from '@/core/units/length';
import { formatMass, ug } from '@/core/units/mass';
import { massOfLength } from '@/core/wire/mass';
import { readInput } from '@/studio/kernel/readInput';
import { InspectPieceInput } from '@/studio/sittings/sittings.input';
import { LengthField, MassField, NotesField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { RingField } from '@/ui/form/RingField';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useLengths } from '@/ui/lengths';
import { Said as Words } from '@/ui/house';
import type { ShownSitting } from './shown';

interface InspectProps {
  readonly view: ShownSitting['view'];
  readonly piece: number;
  readonly sitting: Sitting;
  readonly say: (...said: readonly Said[]) => void;
}

/** A finished piece is looked over: what its kind is looked at for, then what it came to. */
export function Inspect(props: InspectProps) {
  return (
    <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
      <Checks {...props} />
      <CameTo key={props.piece} {...props} />
    </div>
  );
}

function Checks({ view, piece, sitting, say }: InspectProps) {
  const so = pieceIn(sitting, piece);
  const bad = view.checks.filter((_, check) => so.checks.get(check)?.isGood === false);
  const [first] = bad;
  return (
    <section className="leaf p-4">
      <h2>Checks</h2>
      <div className="mt-2 divide-y divide-base-300">
        {view.checks.map((name, check) => {
          const found = so.checks.get(check);
          const tell = (isGood: boolean) => say({ kind: 'checked', piece, check, isGood, reading: '' });
          return (
            <div
              key={check}
              className="flex flex-wrap items-center gap-2 py-2"
              role="group"
              aria-label={name}
            >
              <span className="min-w-48 flex-1 [overflow-wrap:anywhere]">{name}</span>
              <button
                type="button"
                className={`btn min-h-12 ${found?.isGood === true ? 'btn-neutral' : 'btn-outline'}`}
                aria-pressed={found?.isGood === true}
                onClick={() => tell(true)}
              >
                <Check size={20} aria-hidden="true" /> Good
              </button>
              <button
                type="button"
                className={`btn min-h-12 ${found?.isGood === false ? 'btn-error' : 'btn-outline'}`}
                aria-pressed={found?.isGood === false}
                onClick={() => tell(false)}
              >
                <X size={20} aria-hidden="true" /> Not good
              </button>
            </div>
          );
        })}
      </div>
      {first !== undefined && so.flaw === '' && so.lost === '' && (
        <div role="status" className="mt-3 border-l-4 border-error pl-3">
          <p className="font-semibold">“{first}” is not good. Work on it, and look again; or:</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn min-h-12"
              onClick={() => say({ kind: 'flawed', piece, reason: bad.join('; ').slice(0, 200) })}
            >
              Sell it as it is
            </button>
            <button
              type="button"
              className="btn min-h-12"
              onClick={() => say({ kind: 'lost', piece, reason: first.slice(0, 200) })}
            >
              It is lost
            </button>
          </div>
        </div>
      )}
      {so.flaw !== '' && (
        <p className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-warning pl-3">
          It is sold as it is: {so.flaw}.
          <button type="button" className="btn" onClick={() => say({ kind: 'flawed', piece, reason: '' })}>
            It is as it should be
          </button>
        </p>
      )}
    </section>
  );
}

/** What came back of each wire, its size, its weight, and a note. */
function CameTo({ view, piece, sitting, say }: InspectProps) {
  const { system } = useLengths();
  const so = pieceIn(sitting, piece);
  const kept = new Map(view.pieces[piece]?.wires.map((wire) => [wireKey(wire), wire]));
  const wires = wantedCuts(view);
  const finished = finishedInside(so);
  const defaultValues: InspectPieceInput = {
    wires: wires.map((wanted) => {
      const { cutIndex, copy, length, tails } = wanted;
      const done = so.wires.get(wireKey(wanted));
      return {
        cutIndex,
        copy,
        cut: writableLength(done?.cut ?? kept.get(wireKey(wanted))?.length ?? length, system),
        back: writableLengths(done?.back ?? tails, system),
      };
    }),
    ...(view.isRing ? { finished: finished === null ? '' : describeRing(ringOf(finished / UM_PER_MM)) } : {}),
    weight: so.mass === null ? '' : formatMass(so.mass),
    note: so.note,
  };
  const send = useCallback(
    async (_: string, typed: InspectPieceInput) => {
      const told = await readInput(InspectPieceInput, typed);
      say(
        ...told.wires.map(({ cutIndex, copy, cut, back }): Said => ({
          kind: 'cut',
          piece,
          cutIndex,
          copy,
          cut,
          back,
        })),
        ...(told.finished ? [{ kind: 'size', piece, when: 'finished', inside: told.finished } as const] : []),
        ...(told.weight ? [{ kind: 'weighed', piece, mass: told.weight } as const] : []),
        { kind: 'noted', piece, text: told.note },
      );
      return { ok: true as const, value: null };
    },
    [piece, say],
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: InspectPieceInput,
    defaultValues,
    send,
    onDone: useCallback(() => undefined, []),
    // What is written down stands in the sitting, on every device.
    typedFor: null,
  });
  const { control } = form;
  return (
    <FormBox onSubmit={submit} className="leaf p-4">
      <h2>What it came to</h2>
      <div className="mt-2 space-y-3">
        {view.isRing && (
          <RingField
            control={control}
            name="finished"
            label="Reads on the mandrel"
            hint={view.ring ? `Made for ${view.ring}; read it both ways round` : 'Read it both ways round'}
          />
        )}
        <MassField control={control} name="weight" label="On the scale" bare="g" placeholder="6.2 g" />
        <Doubt view={view} so={so} />
        {wires.map(({ name }, index) => (
          <div key={index} className="grid grid-cols-2 gap-x-4" role="group" aria-label={name}>
            <p className="col-span-2 font-semibold [overflow-wrap:anywhere]">{name}</p>
            <LengthField control={control} name={`wires.${index}.cut`} label="Really cut" />
            <LengthField control={control} name={`wires.${index}.back`} label="Came back" several />
          </div>
        ))}
        <NotesField control={control} name="note" label="Note" />
      </div>
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action={so.wires.size > 0 ? 'Write it down again' : 'Write it down'}
        busy="Writing it down …"
        quiet
      >
        {so.wires.size > 0 && <p className="muted">It is written down.</p>}
      </FormEnd>
    </FormBox>
  );
}

/** What the scale says against the wire that stayed in the piece; nothing while one of both is not known. */
function Doubt({ view, so }: { view: ShownSitting['view']; so: PieceSoFar }) {
  const wire = wantedCuts(view).reduce((sum, wanted) => {
    const { cut, back } = so.wires.get(wireKey(wanted)) ?? { cut: wanted.length, back: wanted.tails };
    const spec = view.specs[wanted.specId];
    return sum + (spec ? massOfLength(spec, um(Math.max(0, cut - sumLengths(back)))) : 0);
  }, 0);
  const { doubt } =
    so.mass !== null && wire > 0 ? judgeWeight(so.mass, ug(wire), view.parts.length > 0) : { doubt: '' };
  return doubt === '' ? null : (
    <p role="status" className="border-l-4 border-warning pl-3">
      <Words>{doubt}</Words>
    </p>
  );
}
