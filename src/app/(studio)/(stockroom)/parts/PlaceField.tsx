'use client';

import type { Control, FieldPath, FieldValues } from 'react-hook-form';
import { TextField } from '@/ui/form/fields';

/** Where something new is put, out of the places that the page offers as "places". */
export function PlaceField<Values extends FieldValues & { place: string }>({
  control,
  hint,
}: {
  control: Control<Values>;
  hint?: string;
}) {
  return (
    <TextField
      control={control}
      name={'place' as FieldPath<Values>}
      label="Put it in"
      list="places"
      {...(hint === undefined ? {} : { hint })}
    />
  );
}
