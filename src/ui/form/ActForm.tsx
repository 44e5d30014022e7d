'use client';

import type { ReactNode } from 'react';
import type { Control, FieldValues } from 'react-hook-form';
import { FormBox } from './FormBox';
import { FormEnd } from './FormEnd';
import { useStudioForm, type StudioFormOptions } from './useStudioForm';

interface ActFormProps<Values extends FieldValues, T> extends StudioFormOptions<Values, T> {
  readonly action: string;
  readonly busy: string;
  readonly quiet?: boolean;
  readonly className?: string;
  readonly children: (control: Control<Values>) => ReactNode;
}

/** A short form for one act: its fields, what is wrong with it, its button. */
export function ActForm<Values extends FieldValues, T>({
  action,
  busy,
  quiet = true,
  className = 'grid gap-3 sm:grid-cols-2',
  children,
  ...options
}: ActFormProps<Values, T>) {
  const { form, submit, problem, sending, before } = useStudioForm(options);
  return (
    <FormBox onSubmit={submit} begins={!quiet}>
      <div className={className}>{children(form.control)}</div>
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action={action}
        busy={busy}
        quiet={quiet}
      />
    </FormBox>
  );
}
