'use client';

import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { WireSpecInput } from '@/studio/wire/receiveWire.input';
import { CalliperPanel } from './CalliperPanel';

/** The calliper beside the fields of a wire: a label that it suggests is put into them. */
export function MeasuredSize<Values extends FieldValues & WireSpecInput>({
  control,
}: {
  control: Control<Values>;
}) {
  const at = (name: keyof WireSpecInput) => name as FieldPath<Values>;
  const { field: system } = useController({ control, name: at('gaugeSystem') });
  const { field: number } = useController({ control, name: at('gaugeNumber') });
  return (
    <CalliperPanel
      onTake={(label) => {
        system.onChange(label.system);
        number.onChange(label.number);
      }}
    />
  );
}
