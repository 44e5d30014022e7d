'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { SetRoundsInput } from '@/studio/settings/setRounds.input';
import { NotesField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { setRoundsAction } from './actions';

/** What the studio bends wire round, listed once. */
export function RoundsForm({ rounds }: { rounds: string }) {
  const router = useRouter();
  const toast = useToast();
  const { form, submit, problem, sending, before } = useStudioForm({
    input: SetRoundsInput,
    defaultValues: { rounds },
    send: setRoundsAction,
    onDone: useCallback(() => {
      toast('Saved: the bench says which of them to bend on.');
      router.refresh();
    }, [router, toast]),
    typedFor: 'rounds',
  });
  return (
    <section className="leaf mt-6 p-4" aria-label="Mandrels and rounds">
      <h2>Mandrels and rounds</h2>
      <FormBox onSubmit={submit} className="mt-2 max-w-xl">
        <NotesField
          control={form.control}
          name="rounds"
          label="What you bend on, one a line"
          hint="With its thickness: oak dowel: 12 mm"
        />
        <FormEnd
          problem={problem}
          sending={sending}
          before={before}
          action="Save the rounds"
          busy="Saving …"
          quiet
        />
      </FormBox>
    </section>
  );
}
