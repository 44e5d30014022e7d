'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { CURRENCIES } from '@/core/units/money';
import { ChangeCurrencyInput } from '@/studio/settings/changeCurrency.input';
import { ChoiceField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { changeCurrencyAction } from './actions';

/** Corrects the currency while the books are still empty. */
export function CurrencyForm({ version, currency }: { version: number; currency: string }) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback((key: string, input: ChangeCurrencyInput) => changeCurrencyAction(key, input), []);
  const onDone = useCallback(() => {
    toast('The currency of the books is changed.');
    router.refresh();
  }, [router, toast]);
  const defaultValues: ChangeCurrencyInput = { version: String(version), currency };
  const { form, submit, problem, sending, before } = useStudioForm({
    input: ChangeCurrencyInput,
    defaultValues,
    send,
    onDone,
  });
  return (
    <FormBox onSubmit={submit} className="max-w-sm">
      <ChoiceField
        control={form.control}
        name="currency"
        label="Books are kept in"
        hint="Your rates keep their figures"
        choices={CURRENCIES.map(({ code, name }) => ({ value: code, text: `${name} (${code})` }))}
      />
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Change the currency"
        busy="Changing …"
        quiet
      />
    </FormBox>
  );
}
