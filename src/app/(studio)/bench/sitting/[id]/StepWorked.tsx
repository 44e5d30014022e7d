'use client';

import { pieceIn, wireKey } from '@/core/bench/sitting';
import type { Station } from '@/core/bench/stations';
import { cutLength, wantedCuts } from '@/core/pattern/pattern';
import { roundSpan } from '@/core/ruler';
import { um } from '@/core/units/length';
import { MarkedWire } from '@/ui/craft/MarkedWire';
import { InHand } from '@/ui/craft/InHand';
import { StepSeen } from '@/ui/craft/StepSeen';
import { Field, TextInput } from '@/ui/form/Field';
import { Fold } from '@/ui/Fold';
import { Said } from '@/ui/house';
import { BentOn } from './BentOn';
import { Mistake } from './Mistake';
import { SizesOnTheWay } from './SizesOnTheWay';
import type { ShownSitting } from './shown';
import type { SittingHere } from './useSitting';

/** A step that is worked on a piece: how it looks when it is done, which wire, what to hold, and what to take care of. */
export function StepWorked({
  view,
  steps,
  station,
  here: { sitting, say },
  picture,
  turnable,
}: Pick<ShownSitting, 'view' | 'steps' | 'picture'> & {
  turnable: ShownSitting['piece'];
  station: Extract<Station, { readonly kind: 'step' }>;
  here: SittingHere;
}) {
  const step = steps[station.step];
  if (!step) return null;
  const { name, inHand, cautions = [], seen } = step;
  const hasNext = steps[station.step + 1]?.seen !== undefined;
  const cuts = view.cuts.filter((cut) =>
    inHand.some((each) => each === cut.name || each.endsWith(`× ${cut.name}`)),
  );
  const wire = wantedCuts(view).find(({ cutIndex }) => view.cuts[cutIndex] === cuts[0]);
  const span = roundSpan(um(Math.max(...view.cuts.map(cutLength), 50_000)));
  const { piece } = station;
  return (
    <div className="mt-3 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="space-y-4">
        {turnable && seen ? (
          <StepSeen
            tag={picture}
            step={station.step + 1}
            name={name}
            next={hasNext ? station.step + 2 : undefined}
            isRing={seen.isRing}
            piece={turnable}
          />
        ) : (
          <p className="leaf muted p-6 text-xl">
            {turnable === null
              ? 'No picture of this pattern as it is worked here.'
              : 'Nothing of it can be seen yet.'}
          </p>
        )}
        {cuts.length > 0 && (
          <section className="leaf p-4" aria-label="Its wires">
            {cuts.map((cut) => (
              <MarkedWire key={cut.name} cut={cut} spec={view.specs[cut.specId]} span={span} />
            ))}
          </section>
        )}
      </div>
      <div className="space-y-4">
        <InHand things={inHand} />
        {cautions.length > 0 && (
          <section className="leaf p-4">
            <h2>Take care</h2>
            {cautions.map((caution) => (
              <p key={caution} className="mt-1">
                <Said>{caution}</Said>
              </p>
            ))}
          </section>
        )}
        {piece !== null && (
          <>
            {view.isRing && <SizesOnTheWay piece={piece} sitting={sitting} say={say} />}
            <Mistake view={view} piece={piece} sitting={sitting} inHand={wire && wireKey(wire)} say={say} />
            <NoteBox
              key={piece}
              note={pieceIn(sitting, piece).note}
              onNote={(text) => say({ kind: 'noted', piece, text })}
            />
            {view.insides.length > 0 && view.rounds.length > 0 && (
              <div className="no-print">
                <Fold title="Bent round something? Say what it came to">
                  <BentOn view={view} sitting={sitting} say={say} />
                </Fold>
              </div>
            )}
          </>
        )}
      </div>
    </div>
  );
}

/** What somebody wants to remember of the piece. */
function NoteBox({ note, onNote }: { note: string; onNote: (text: string) => void }) {
  return (
    <section className="leaf p-4">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const typed = new FormData(event.currentTarget).get('note');
          if (typeof typed === 'string') onNote(typed);
        }}
      >
        <Field label="Note" hint={note === '' ? undefined : `Noted: ${note}`}>
          {(ties) => <TextInput {...ties} name="note" maxLength={2000} defaultValue={note} />}
        </Field>
        <button type="submit" className="btn mt-2 min-h-12">
          Note it
        </button>
      </form>
    </section>
  );
}
