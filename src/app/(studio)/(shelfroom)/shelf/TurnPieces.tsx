'use client';

import { useEffect, useRef } from 'react';
import { useController, useWatch, type Control } from 'react-hook-form';
import type { PieceTurn } from '@/core/selling/life';
import { counted } from '@/core/units/counted';
import { askedOf, TurnPiecesInput } from '@/studio/shelf/turnPieces.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, TextField } from '@/ui/form/fields';
import { useDone } from '@/ui/useDone';
import { TURN_ACTS } from '@/app/lib/turnWords';
import { turnPiecesAction } from './actions';

/** Something happens to pieces: laid elsewhere, kept for somebody, given away. */
export function TurnPieces({
  numbers,
  turns,
  onTurned,
}: {
  /** The pieces that it happens to, when it is sent. */
  numbers: () => readonly number[];
  turns: readonly PieceTurn[];
  onTurned?: () => void;
}) {
  const done = useDone(
    ({ pieces }: { readonly pieces: number }) => `It is written down of ${counted(pieces, 'piece')}.`,
  );
  const [first] = turns;
  if (first === undefined) return null;
  return (
    <ActForm
      input={TurnPiecesInput}
      defaultValues={{ turn: first, to: '', note: '' }}
      send={(key, input) => turnPiecesAction(key, numbers(), input)}
      onDone={(value) => {
        onTurned?.();
        done(value);
      }}
      action="Write it down"
      busy="Writing …"
      className="grid gap-3 sm:grid-cols-3"
    >
      {(control) => (
        <>
          <ChoiceField
            control={control}
            name="turn"
            label="What happens"
            choices={turns.map((turn) => ({ value: turn, text: TURN_ACTS[turn] }))}
          />
          <ToWhom control={control} />
          <TextField control={control} name="note" label="Note" placeholder="Until Friday" />
        </>
      )}
    </ActForm>
  );
}

const LABELS: Readonly<Partial<Record<PieceTurn, readonly [label: string, example: string]>>> = {
  put: ['Where', 'fair case'],
  reserved: ['For whom', 'the neighbour'],
  'taken to a shop': ['Which shop', 'the shop at the ferry'],
  given: ['To whom, if you like', 'a friend'],
};

/** Where to, for whom or which shop: what is asked besides, where anything is. */
function ToWhom({ control }: { control: Control<TurnPiecesInput> }) {
  const turn = useWatch({ control, name: 'turn' });
  const { field } = useController({ control, name: 'to' });
  const { onChange } = field;
  const before = useRef(turn);
  useEffect(() => {
    // A place is nobody that something is kept for.
    if (before.current !== turn) onChange('');
    before.current = turn;
  }, [turn, onChange]);
  const [, words] = Object.entries(LABELS).find(([each]) => each === turn) ?? [];
  if (!words && askedOf(turn) === undefined) return null;
  return <TextField control={control} name="to" label={words?.[0] ?? 'To'} placeholder={words?.[1]} />;
}
