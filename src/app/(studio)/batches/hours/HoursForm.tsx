'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { sayDay, day } from '@/core/calendar/day';
import { BenchHoursInput } from '@/studio/schedule/benchHours.input';
import { NotesField, NumberField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useHouse } from '@/ui/house';
import { useToast } from '@/ui/toasts';
import { setBenchHoursAction } from '../actions';

export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** When there is time at the bench. */
export function HoursForm({ defaultValues }: { defaultValues: BenchHoursInput }) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback((key: string, values: BenchHoursInput) => setBenchHoursAction(key, values), []);
  const onDone = useCallback(() => {
    toast('The calendar goes by these hours now.');
    router.refresh();
  }, [router, toast]);
  const { form, submit, problem, sending, before } = useStudioForm({
    input: BenchHoursInput,
    defaultValues,
    send,
    onDone,
  });
  const { control } = form;
  const { days } = useHouse();
  return (
    <FormBox onSubmit={submit} className="leaf no-print space-y-3 p-4" label="Hours at the bench">
      <h2>Hours at the bench</h2>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4 lg:grid-cols-2 xl:grid-cols-4">
        {WEEKDAYS.map((weekday, index) => (
          <NumberField key={weekday} control={control} name={`weekly.${index}`} label={weekday} unit="h" />
        ))}
      </div>
      <NotesField
        control={control}
        name="daysOff"
        label="Days off"
        hint={`One a line, like ${sayDay(day('2026-12-24'), days)}`}
      />
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Set these hours"
        busy="Setting …"
      />
    </FormBox>
  );
}
