'use client';

import { CustomerInput } from '@/studio/selling/customers.input';
import { ActForm } from '@/ui/form/ActForm';
import { NotesField, TextField } from '@/ui/form/fields';
import { useDone } from '@/ui/useDone';
import { writeCustomerAction } from './actions';

const NOBODY: CustomerInput = { name: '', contact: '', ringSizes: '', wishes: '' };

/** Somebody who buys, to be written down or changed. */
export function CustomerForm({ id, values = NOBODY }: { id: string | null; values?: CustomerInput }) {
  const done = useDone<{ readonly id: string }>(
    () => (id === null ? 'It is written down.' : 'It is changed.'),
    ({ id: written }) => `/customers/${written}`,
  );
  return (
    <ActForm
      input={CustomerInput}
      defaultValues={values}
      send={(key, input) => writeCustomerAction(key, id, input)}
      onDone={done}
      action={id === null ? 'Write it down' : 'Change it'}
      busy="Writing …"
      typedFor={id ?? 'new'}
    >
      {(control) => (
        <>
          <TextField
            control={control}
            name="name"
            label="Name"
            hint="As it stands on receipts: what they bought is found by it"
          />
          <TextField control={control} name="contact" label="How to reach them" />
          <TextField
            control={control}
            name="ringSizes"
            label="Ring sizes"
            placeholder="US 6 left ring finger"
          />
          <NotesField control={control} name="wishes" label="Wishes" />
        </>
      )}
    </ActForm>
  );
}
