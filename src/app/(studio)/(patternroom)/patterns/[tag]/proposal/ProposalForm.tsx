'use client';

import { MOST_ON_PROPOSAL } from '@/core/paper/proposal';
import type { ProposedMetal, ProposalTexts } from '@/studio/paper/proposal';
import { Field, TextInput } from '@/ui/form/Field';

/** What is to stand on the page for a customer. */
export function ProposalForm({
  metals,
  texts,
  wrong,
  currency,
}: {
  readonly metals: readonly ProposedMetal[];
  /** As they were typed. */
  readonly texts: ProposalTexts;
  /** What is wrong of them, by field. */
  readonly wrong: Readonly<Record<string, string>>;
  readonly currency: string;
}) {
  return (
    <form aria-label="What stands on it" className="leaf space-y-3 p-4">
      <Field label="For" error={wrong['whom']} hint="A name, or nothing">
        {(ties) => <TextInput {...ties} name="whom" defaultValue={texts['whom']} />}
      </Field>
      <fieldset className="space-y-3">
        <legend className="font-semibold">What it comes to</legend>
        {wrong['prices'] && (
          <p role="alert" className="text-error">
            {wrong['prices']}
          </p>
        )}
        {metals.map(({ field, name, usual }) => (
          <Field
            key={field}
            label={`Price in ${name}, ${currency}`}
            error={wrong[field]}
            hint={
              usual === '' ? 'No cost is known of it yet' : `${usual} keeps your margin; empty leaves it out`
            }
          >
            {(ties) => <TextInput {...ties} name={field} inputMode="decimal" defaultValue={texts[field]} />}
          </Field>
        ))}
      </fieldset>
      <Field label="Valid until" error={wrong['until']}>
        {(ties) => <TextInput {...ties} type="date" name="until" defaultValue={texts['until']} />}
      </Field>
      <Field label="Some words" error={wrong['words']} hint={`At most ${MOST_ON_PROPOSAL.words} characters`}>
        {(ties) => (
          <textarea
            {...ties}
            name="words"
            rows={5}
            className="textarea w-full text-base"
            defaultValue={texts['words']}
          />
        )}
      </Field>
      <button type="submit" className="btn btn-lg">
        Show it
      </button>
    </form>
  );
}
