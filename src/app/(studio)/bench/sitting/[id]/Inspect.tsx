'use client';

import { useCallback } from 'react';
import { finishedInside, pieceIn, spoolIn, wireKey, type Said } from '@/core/bench/sitting';
import { judgeWeight } from '@/core/bench/weight';
import { wireDone, workedOff } from '@/core/bench/wireDone';
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
import { Checks } from './Checks';
import type { InspectProps } from './shown';

/** A finished piece is looked over: what its kind is looked at for, then what it came to. */
export function Inspect(props: InspectProps) {
  return (
    <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
      <Checks {...props} />
      <CameTo key={props.piece} {...props} />
    </div>
  );
}

/** What came back of each wire, its size, its weight, and a note. */
function CameTo({ view, piece, sitting, say }: InspectProps) {
  const { system } = useLengths();
  const so = pieceIn(sitting, piece);
  const kept = new Map(view.pieces[piece]?.wires.map((wire) => [wireKey(wire), wire]));
  // What is worked off its spool is weighed, for all pieces together.
  const wires = wantedCuts(view).filter(({ cutIndex }) => spoolIn(sitting, cutIndex).before === null);
  const finished = finishedInside(so);
  const isWritten = so.wires.size > 0 || so.mass !== null || finished !== null;
  const defaultValues: InspectPieceInput = {
    wires: wires.map((wanted) => {
      const { cutIndex, copy } = wanted;
      const { cut, back } = wireDone(so, wanted, kept.get(wireKey(wanted)));
      return { cutIndex, copy, cut: writableLength(cut, system), back: writableLengths(back, system) };
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
        <Doubt view={view} piece={piece} sitting={sitting} />
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
        action={isWritten ? 'Write it down again' : 'Write it down'}
        busy="Writing it down …"
        quiet
      >
        {isWritten && <p className="muted">It is written down.</p>}
      </FormEnd>
    </FormBox>
  );
}

/** What the scale says against the wire that stayed in the piece; nothing while one of both is not known. */
function Doubt({ view, piece, sitting }: Omit<InspectProps, 'say'>) {
  const so = pieceIn(sitting, piece);
  const meant = new Map(view.pieces[piece]?.wires.map((wire) => [wireKey(wire), wire]));
  const wire = wantedCuts(view).reduce((sum, wanted) => {
    const spec = view.specs[wanted.specId];
    if (!spec) return sum;
    const wires = (view.cuts[wanted.cutIndex]?.count ?? 1) * view.count;
    const offSpool = workedOff(sitting, wanted.cutIndex, wires, spec);
    const { cut, back } = wireDone(so, wanted, meant.get(wireKey(wanted)), offSpool);
    return sum + massOfLength(spec, um(Math.max(0, cut - sumLengths(back))));
  }, 0);
  const { doubt } =
    so.mass !== null && wire > 0 ? judgeWeight(so.mass, ug(wire), view.parts.length > 0) : { doubt: '' };
  return doubt === '' ? null : (
    <p role="status" className="border-l-4 border-warning pl-3">
      <Words>{doubt}</Words>
    </p>
  );
}
