'use client';

import dynamic from 'next/dynamic';
import { useWatch, type Control } from 'react-hook-form';
import { countOut } from '@/core/bead/symmetricalSet';
import { groupsOf } from '@/core/bead/groupsOf';
import { tag, TAG_PATHS } from '@/core/tag';
import type { DrawerPiece } from '@/studio/drawers/drawers';
import { readSoFar } from '@/studio/kernel/readInput';
import { CountOutSetInput } from '@/studio/drawers/countOutSet.input';
import { SetAsideInput } from '@/studio/drawers/setAside.input';
import { ChangeStockInput } from '@/studio/stock/changeStock.input';
import { Fold } from '@/ui/Fold';
import { ActForm } from '@/ui/form/ActForm';
import { NumberField, TextField, TickField } from '@/ui/form/fields';
import { Said } from '@/ui/house';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { PlaceField } from '../../parts/PlaceField';
import { Hints } from '../../parts/PurchaseFieldset';
import { TakeOut } from '../../parts/TakeOut';
import { useDone } from '@/ui/useDone';
import { countOutAction, keepAction, setAsideAction, takeAction, traceStoneAction } from '../actions';

/** Few stones are traced: how comes when one is. */
const TraceStone = dynamic(() => import('@/ui/craft/TraceStone').then((module) => module.TraceStone), {
  ssr: false,
});

interface DrawerActsProps {
  readonly piece: DrawerPiece;
  readonly isUsedUp: boolean;
  readonly places: readonly string[];
}

/** Everything that may be done with one thing in a drawer. */
export function DrawerActs({ piece, isUsedUp, places }: DrawerActsProps) {
  const { detail } = piece;
  return (
    <section className="leaf px-4 py-2" aria-label="What to do with it">
      {!isUsedUp && detail.ware === 'bead' && <CountOut piece={piece} />}
      {!isUsedUp && detail.ware === 'stone' && <SetAside piece={piece} purpose={detail.setAsideFor} />}
      {!isUsedUp && detail.ware === 'stone' && detail.outline === 'freeform' && (
        <KeepOutline number={piece.number} isTraced={(detail.traced ?? []).length > 0} />
      )}
      {!isUsedUp && <Take piece={piece} />}
      <Keep piece={piece} />
      <Hints id="places" names={places} />
    </section>
  );
}

function Take({ piece: { detail, number } }: { piece: DrawerPiece }) {
  return (
    <TakeOut
      send={(key, input) => takeAction(key, detail.ware, number, input)}
      kinds={[
        { value: 'used', text: 'used' },
        { value: 'spoiled', text: 'spoiled or lost' },
      ]}
      quantity={detail.ware === 'stone' ? '1' : ''}
      quantityField={(control) => (
        <TextField
          control={control}
          name="quantity"
          label="How much"
          placeholder={detail.ware === 'supply' ? '5' : '12, 1 dozen'}
        />
      )}
      why={{ label: 'What for, or why', example: 'F-0123, chipped' }}
    />
  );
}

function CountOut({ piece }: { piece: DrawerPiece }) {
  const onDone = useDone(
    ({ number }: { number: number }) => `Counted out: the set is ${tag('bead', number)}.`,
    ({ number }) => `${TAG_PATHS.bead}/${tag('bead', number)}`,
  );
  return (
    <Fold title="Count out a symmetrical set" open>
      <ActForm
        input={CountOutSetInput}
        defaultValues={{ aSide: '8', withCentre: false, place: '' }}
        send={(key, input) => countOutAction(key, piece.number, input)}
        onDone={onDone}
        action="Count it out"
        busy="Posting …"
      >
        {(control) => (
          <>
            <NumberField control={control} name="aSide" label="Beads a side" />
            <TickField control={control} name="withCentre" label="One more in the middle" />
            <PlaceField control={control} hint="Empty: where the strand is" />
            <Yield control={control} piece={piece} />
          </>
        )}
      </ActForm>
    </Fold>
  );
}

/** Whether the strand yields the set, before anything is posted. */
function Yield({ control, piece }: { control: Control<CountOutSetInput>; piece: DrawerPiece }) {
  const [aSide, withCentre] = useWatch({ control, name: ['aSide', 'withCentre'] });
  const wanted = readSoFar(CountOutSetInput, { aSide }).aSide ?? 0;
  const set = countOut(groupsOf(piece.quantity, piece.shades), wanted, withCentre);
  return (
    <p role="status" className="sm:col-span-2">
      {set.enough ? (
        <>
          <strong>It yields the set</strong>, up to {set.most} a side:{' '}
          {set.shades
            .filter(({ aSide: side }) => side > 0)
            .map(({ name, aSide: side }) => `${side} ${name}`)
            .join(', ')}{' '}
          a side{set.centre !== null && `, one ${set.centre} in the middle`}.
        </>
      ) : (
        <>
          <strong>It does not yield that</strong>: {set.most} a side at most
          {withCentre && ', and one left over for the middle'}.
        </>
      )}
    </p>
  );
}

function SetAside({ piece, purpose }: { piece: DrawerPiece; purpose: string }) {
  const onDone = useDone(() => 'It is noted.');
  return (
    <Fold title={purpose ? 'It is set aside; set it free' : 'Set it aside'}>
      <ActForm
        key={purpose}
        input={SetAsideInput}
        defaultValues={{ purpose }}
        send={(key, input) => setAsideAction(key, piece.number, input)}
        onDone={onDone}
        action="Note it"
        busy="Noting …"
      >
        {(control) => (
          <TextField
            control={control}
            name="purpose"
            label="For"
            placeholder="an order"
            hint="Empty: it is free again"
          />
        )}
      </ActForm>
    </Fold>
  );
}

/** A freeform stone is traced over a photograph once, for all patterns that it is set in. */
function KeepOutline({ number, isTraced }: { number: number; isTraced: boolean }) {
  const onDone = useDone(() => 'Its outline is kept with it.');
  const { busy, problem, run } = useAct();
  return (
    <Fold title={isTraced ? 'Its outline was traced; trace it anew' : 'Trace its outline'}>
      <p className="mb-2 text-sm">
        Patterns that are made for it follow its true edge then. What the calliper says of it stays as it is.
      </p>
      <TraceStone
        name="stone"
        onTraced={(texts) => {
          if (busy) return;
          void run(() => traceStoneAction(newKey(), number, { points: texts['stone.points'] ?? '' }), onDone);
        }}
      />
      {problem && (
        <p role="alert" className="mt-2 text-sm font-semibold text-error">
          <Said>{problem}</Said>
        </p>
      )}
    </Fold>
  );
}

function Keep({ piece: { detail, number, version, place, note } }: { piece: DrawerPiece }) {
  const onDone = useDone(() => 'It is noted.');
  return (
    <Fold title="Put it in another place">
      <ActForm
        key={version}
        input={ChangeStockInput}
        defaultValues={{ version: String(version), place: place ?? '', note, spoolType: '', emptyMass: '' }}
        send={(key, input) => keepAction(key, detail.ware, number, input)}
        onDone={onDone}
        action="Note it"
        busy="Noting …"
      >
        {(control) => (
          <>
            <TextField control={control} name="place" label="Place" list="places" />
            <TextField control={control} name="note" label="Note" />
          </>
        )}
      </ActForm>
    </Fold>
  );
}
