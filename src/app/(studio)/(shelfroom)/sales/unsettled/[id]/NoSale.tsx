'use client';

import { NoSaleInput } from '@/studio/selling/unsettled.input';
import { ActForm } from '@/ui/form/ActForm';
import { TextField } from '@/ui/form/fields';
import { useDone } from '@/ui/useDone';
import { sayNoSaleAction } from '../../../selling/actions';

/** What was told was no sale. */
export function NoSale({ id }: { id: string }) {
  const done = useDone(
    () => 'It is settled: there was no sale.',
    () => '/sales',
  );
  return (
    <ActForm
      input={NoSaleInput}
      defaultValues={{ note: '' }}
      send={(key, input) => sayNoSaleAction(key, id, input)}
      onDone={done}
      action="Say so"
      busy="Settling …"
    >
      {(control) => <TextField control={control} name="note" label="Why" placeholder="Told on both phones" />}
    </ActForm>
  );
}
