'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { AddHelperInput } from '@/studio/people/people.input';
import { TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { addHelperAction } from './actions';

/** Gives a helper a sign-in. */
export function HelperForm() {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback((key: string, input: AddHelperInput) => addHelperAction(key, input), []);
  const onDone = useCallback(() => {
    toast('The helper can sign in now.');
    router.refresh();
  }, [router, toast]);
  const { form, submit, problem, sending, before } = useStudioForm({
    input: AddHelperInput,
    defaultValues: { name: '', login: '', password: '' },
    send,
    onDone,
  });
  const { control } = form;
  return (
    <details className="mt-3">
      <summary className="btn">Give a helper a sign-in</summary>
      <FormBox onSubmit={submit} className="mt-3">
        <p className="muted">
          Helpers see wire, patterns, the bench and the shelf; never costs, prices or these rules.
        </p>
        <div className="mt-2 grid gap-4 sm:grid-cols-3">
          <TextField control={control} name="name" label="Helper’s name" />
          <TextField control={control} name="login" label="Signs in as" />
          <TextField
            control={control}
            name="password"
            label="First password"
            type="password"
            autoComplete="new-password"
            hint="At least 10 characters"
          />
        </div>
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action="Add the helper"
          busy="Adding …"
        />
      </FormBox>
    </details>
  );
}
