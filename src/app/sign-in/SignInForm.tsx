'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { SignInInput } from '@/studio/people/people.input';
import { TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { signInAction } from './actions';

export function SignInForm() {
  const router = useRouter();
  const send = useCallback((_key: string, values: SignInInput) => signInAction(values), []);
  const onDone = useCallback(() => router.push('/rack'), [router]);
  const { form, submit, problem, sending } = useStudioForm({
    typedFor: null,
    input: SignInInput,
    defaultValues: { login: '', password: '' },
    send,
    onDone,
  });
  return (
    <FormBox onSubmit={submit} className="leaf mt-4 space-y-4 p-4">
      <TextField control={form.control} name="login" label="Name" autoComplete="username" />
      <TextField
        control={form.control}
        name="password"
        label="Password"
        type="password"
        autoComplete="current-password"
      />
      <FormEnd
        problem={problem?.fields ? undefined : problem}
        sending={sending}
        action="Sign in"
        busy="Signing in …"
      />
    </FormBox>
  );
}
