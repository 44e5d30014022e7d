'use client';

import { useController, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { readNumbers } from '@/core/units/writing';
import { useHouse, useWriting } from '../house';
import { Field, TextInput } from './Field';

/** What prices end in, in one line: "0.00; 5.00". */
export function EndingsField<Values extends FieldValues>({
  control,
  name,
  label,
  currency,
}: {
  control: Control<Values>;
  name: FieldPathByValue<Values, readonly unknown[]>;
  label: string;
  currency: string;
}) {
  const { field, fieldState } = useController({ control, name });
  const error = fieldState.error?.message;
  const { numbers } = useHouse();
  const write = useWriting();
  const endings: readonly string[] = field.value;
  const shown = endings.map((text) => write(text.replace(` ${currency}`, ''))).join('; ');
  return (
    <Field
      label={label}
      hint={`Like ${write('0.00; 5.00; 9.50')}; empty leaves prices as they come`}
      error={error}
    >
      {(ties) => (
        <TextInput
          {...ties}
          ref={field.ref}
          defaultValue={shown}
          onBlur={field.onBlur}
          onChange={(event) =>
            field.onChange(
              event.target.value
                .split(/[,;]\s+|[,;]$|\s+/)
                .map((part) => part.trim())
                .filter(Boolean)
                .map((part) => `${readNumbers(part, numbers)} ${currency}`),
            )
          }
        />
      )}
    </Field>
  );
}
