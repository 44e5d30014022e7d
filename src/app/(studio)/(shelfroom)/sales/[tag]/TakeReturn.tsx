'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useController, type Control } from 'react-hook-form';
import { PAID_BY, type PaidBy } from '@/core/selling/sale';
import { tag } from '@/core/tag';
import { ReturnInput } from '@/studio/selling/sell.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, TextField, TickField } from '@/ui/form/fields';
import { Tick } from '@/ui/form/Tick';
import { useToast } from '@/ui/toasts';
import { takeReturnAction } from '../actions';

/** Pieces of a sale come back, and what was paid for them is paid back. */
export function TakeReturn({
  sale,
  pieces,
  today,
  paidBy,
}: {
  sale: number;
  /** What the buyer has of it. */
  pieces: readonly { readonly number: number; readonly name: string }[];
  today: string;
  paidBy: PaidBy;
}) {
  const router = useRouter();
  const toast = useToast();
  const onDone = useCallback(
    ({ number }: { readonly number: number }) => {
      toast(`It is paid back: ${tag('sale', number)}.`);
      router.push(`/sales/${tag('sale', number)}`);
    },
    [router, toast],
  );
  return (
    <ActForm
      input={ReturnInput}
      defaultValues={{
        pieces: pieces.length === 1 ? pieces.map(entryOf) : [],
        soldOn: today,
        paidBy,
        keepsFees: true,
        note: '',
      }}
      send={(key, input) => takeReturnAction(key, sale, input)}
      onDone={onDone}
      action="Pay it back"
      busy="Writing …"
    >
      {(control) => (
        <>
          <Returned control={control} pieces={pieces} />
          <TextField control={control} name="soldOn" label="When" type="date" />
          <ChoiceField
            control={control}
            name="paidBy"
            label="Paid back"
            choices={PAID_BY.map((value) => ({ value, text: value }))}
          />
          <TextField control={control} name="note" label="Why" placeholder="Too small" />
          <TickField control={control} name="keepsFees" label="The channel keeps its fees all the same" />
        </>
      )}
    </ActForm>
  );
}

const entryOf = ({ number }: { readonly number: number }) => ({ piece: tag('piece', number) });

/** Which of the pieces come back. */
function Returned({
  control,
  pieces,
}: {
  control: Control<ReturnInput>;
  pieces: readonly { readonly number: number; readonly name: string }[];
}) {
  const { field, fieldState } = useController({ control, name: 'pieces' });
  const back = new Set(field.value.map(({ piece }) => piece));
  return (
    <fieldset className="sm:col-span-2">
      <legend className="text-sm font-semibold">What comes back</legend>
      {pieces.map(({ number, name }) => {
        const { piece } = entryOf({ number });
        return (
          <Tick
            key={number}
            checked={back.has(piece)}
            onChange={(isBack) =>
              field.onChange(
                isBack ? [...field.value, { piece }] : field.value.filter((each) => each.piece !== piece),
              )
            }
          >
            {`${name} ${piece}`}
          </Tick>
        );
      })}
      {fieldState.error?.message !== undefined && (
        <p role="alert" className="font-semibold text-error">
          {fieldState.error.message}
        </p>
      )}
    </fieldset>
  );
}
