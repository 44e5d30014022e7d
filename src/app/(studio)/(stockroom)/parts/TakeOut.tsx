'use client';

import type { ReactNode } from 'react';
import type { Control } from 'react-hook-form';
import type { Outcome } from '@/studio/kernel/outcome';
import { TakeOutInput } from '@/studio/stock/takeOut.input';
import { Fold } from '@/ui/Fold';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, TextField } from '@/ui/form/fields';
import { useDone } from '@/ui/useDone';

interface TakeOutProps {
  readonly send: (key: string, input: TakeOutInput) => Promise<Outcome<unknown>>;
  /** What may have become of it; the first is what is proposed. */
  readonly kinds: readonly { readonly value: TakeOutInput['kind']; readonly text: string }[];
  readonly quantity: string;
  readonly quantityField: (control: Control<TakeOutInput>) => ReactNode;
  /** Label and example of the reason. */
  readonly why: { readonly label: string; readonly example: string };
}

/** Taking some of a thing out of stock by hand, the same for every ware. */
export function TakeOut({ send, kinds, quantity, quantityField, why }: TakeOutProps) {
  const onDone = useDone(() => 'It is in the ledger.');
  return (
    <Fold title="Take some out, or say what was spoiled">
      <ActForm
        input={TakeOutInput}
        defaultValues={{ kind: kinds[0]?.value ?? 'used', quantity, reason: '' }}
        send={send}
        onDone={onDone}
        action="Post it"
        busy="Posting …"
      >
        {(control) => (
          <>
            <ChoiceField control={control} name="kind" label="It was" choices={kinds} />
            {quantityField(control)}
            <TextField control={control} name="reason" label={why.label} placeholder={why.example} />
          </>
        )}
      </ActForm>
    </Fold>
  );
}
