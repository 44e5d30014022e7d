'use client';

import { useCallback } from 'react';
import { ChangePasswordInput } from '@/studio/people/people.input';
import { TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { changePasswordAction } from './actions';

const EMPTY: ChangePasswordInput = { present: '', next: '' };

export function PasswordForm() {
  const toast = useToast();
  const send = useCallback((_key: string, input: ChangePasswordInput) => changePasswordAction(input), []);
  const onDone = useCallback(
    () => toast('Your password is changed; other browsers are signed out.'),
    [toast],
  );
  const { form, submit, problem, sending } = useStudioForm({
    typedFor: null,
    input: ChangePasswordInput,
    defaultValues: EMPTY,
    send,
    onDone,
  });
  const { control } = form;
  return (
    <FormBox onSubmit={submit} className="leaf mt-4 space-y-4 p-4">
      <TextField
        control={control}
        name="present"
        label="Present password"
        type="password"
        autoComplete="current-password"
      />
      <TextField
        control={control}
        name="next"
        label="New password"
        type="password"
        autoComplete="new-password"
        hint="At least 10 characters; every other browser is signed out"
      />
      <FormEnd problem={problem} sending={sending} action="Change it" busy="Changing …" />
    </FormBox>
  );
}
