'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import { SetChecksInput } from '@/studio/settings/setChecks.input';
import { NotesField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { FormEnd } from '@/ui/form/FormEnd';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { useToast } from '@/ui/toasts';
import { setChecksAction } from './actions';

/** What finished pieces are looked at for, kind by kind. */
export function ChecksForm({ checks }: { checks: Readonly<Record<PatternKind, readonly string[]>> }) {
  const [kind, choose] = useState<PatternKind>('pendant');
  return (
    <section className="leaf mt-6 p-4" aria-label="Looked over at the bench">
      <h2>Looked over at the bench</h2>
      <label className="mt-2 block max-w-xs">
        <span className="text-sm font-semibold">What finished pieces are looked at for, of kind</span>
        <select
          className="select w-full text-base"
          value={kind}
          onChange={({ target }) => choose(PATTERN_KINDS.find((each) => each === target.value) ?? 'pendant')}
        >
          {PATTERN_KINDS.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </select>
      </label>
      <OfKind key={`${kind} ${checks[kind].join('|')}`} kind={kind} checks={checks[kind]} />
    </section>
  );
}

function OfKind({ kind, checks }: { kind: PatternKind; checks: readonly string[] }) {
  const router = useRouter();
  const toast = useToast();
  const { form, submit, problem, sending } = useStudioForm({
    input: SetChecksInput,
    defaultValues: { kind, checks: checks.join('\n') },
    send: setChecksAction,
    onDone: useCallback(() => {
      toast('Saved: the next sitting goes by it.');
      router.refresh();
    }, [router, toast]),
    typedFor: kind,
  });
  return (
    <FormBox onSubmit={submit} className="mt-2 max-w-xl">
      <NotesField
        control={form.control}
        name="checks"
        label="One a line"
        hint="Leave a gap of three dots where a figure goes: Gap: … mm"
      />
      <FormEnd problem={problem} sending={sending} action="Save the checks" busy="Saving …" quiet />
    </FormBox>
  );
}
