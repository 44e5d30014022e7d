'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { useWatch, type FieldPath } from 'react-hook-form';
import { CURRENCIES } from '@/core/units/money';
import { SetUpStudioInput } from '@/studio/people/people.input';
import { ChoiceField, MoneyField, TextField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useSameCurrency } from '@/ui/form/useSameCurrency';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { customsHere } from './customs';
import { setUpAction } from './actions';

const EMPTY: SetUpStudioInput = {
  studioName: '',
  ownerName: '',
  login: '',
  password: '',
  currency: 'USD',
  lengthSystem: 'in',
  hourlyRate: '',
  overheadPerHour: '',
};

const amountsOf = (): FieldPath<SetUpStudioInput>[] => ['hourlyRate', 'overheadPerHour'];

export function SetUpForm() {
  const router = useRouter();
  const send = useCallback(
    (_key: string, values: SetUpStudioInput) => setUpAction({ ...values, ...customsHere() }),
    [],
  );
  const onDone = useCallback(() => router.push('/rack'), [router]);
  const { form, submit, problem, sending, before } = useStudioForm({
    input: SetUpStudioInput,
    defaultValues: EMPTY,
    send,
    onDone,
  });
  const { control } = form;
  const currency = useWatch({ control, name: 'currency' });
  useSameCurrency(form, currency, amountsOf);
  return (
    <FormBox onSubmit={submit} className="leaf mt-4 p-4">
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField control={control} name="studioName" label="Name of the studio" />
        <TextField control={control} name="ownerName" label="Your name" autoComplete="name" />
        <TextField control={control} name="login" label="Name to sign in with" autoComplete="username" />
        <TextField
          control={control}
          name="password"
          label="Password"
          type="password"
          autoComplete="new-password"
          hint="At least 10 characters"
        />
        <ChoiceField
          control={control}
          name="currency"
          label="Currency of your books"
          choices={CURRENCIES.map(({ code, name }) => ({ value: code, text: `${name} (${code})` }))}
        />
        <ChoiceField
          control={control}
          name="lengthSystem"
          label="You measure in"
          choices={[
            { value: 'in', text: 'inches' },
            { value: 'mm', text: 'millimetres' },
          ]}
        />
        <MoneyField
          key={`rate ${currency}`}
          currency={currency}
          control={control}
          name="hourlyRate"
          label="Your hour at the bench is worth"
          hint="What you would pay somebody to do it"
        />
        <MoneyField
          key={`overhead ${currency}`}
          currency={currency}
          control={control}
          name="overheadPerHour"
          label="Overhead per bench hour"
          hint="Rent, light, tools, spread over the hours; 0 if you do not know"
        />
      </div>
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Open the studio"
        busy="Setting up …"
      />
    </FormBox>
  );
}
