'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { MiscutInput } from '@/studio/cuttingTable/cutWire.input';
import { SpoilageReasons, SPOILAGE_REASONS_ID } from '@/ui/craft/SpoilageReasons';
import { ChoiceField, LengthField, TextField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { logMiscutAction } from '../../actions';

const BECOMES = [
  { value: 'lost', text: 'It is lost: into the scrap jar' },
  { value: 'kept', text: 'It is still wire: an off-cut' },
];

/** Logs a length that was cut wrongly; the rest of its wire is planned again at once. */
export function MiscutForm({ number, from }: { number: number; from: string }) {
  const router = useRouter();
  const toast = useToast();
  const send = useCallback(
    (key: string, values: MiscutInput) => logMiscutAction(key, number, values),
    [number],
  );
  const onDone = useCallback(
    ({ replanned }: { replanned: boolean }) => {
      toast(replanned ? 'Logged. The rest of this wire is planned again.' : 'Logged.');
      router.refresh();
    },
    [router, toast],
  );
  const { form, submit, problem, sending, before } = useStudioForm({
    input: MiscutInput,
    defaultValues: { from, length: '', reason: '', then: 'lost' },
    send,
    onDone,
  });
  const { control } = form;
  return (
    <FormBox onSubmit={submit} className="space-y-3" label="A mis-cut">
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          control={control}
          name="from"
          label="It was cut from"
          placeholder="W-0042"
          hint="Its own tag, when it lay in the tray already"
        />
        <LengthField control={control} name="length" label="How long it is" />
        <TextField control={control} name="reason" label="Why" list={SPOILAGE_REASONS_ID} />
        <ChoiceField control={control} name="then" label="What becomes of it" choices={BECOMES} />
      </div>
      <SpoilageReasons />
      <FormEnd
        problem={problem}
        sending={sending}
        before={before}
        action="Log the mis-cut"
        busy="Logging …"
        quiet
      />
    </FormBox>
  );
}
