'use client';

import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { Field, TextInput } from '@/ui/form/Field';
import type { PatternDraft } from './patternDraft';
import type { Draft } from './useDraft';

/** Name, kind and how many alike. */
export function PatternHead({ draft: { now, change } }: { draft: Draft<PatternDraft> }) {
  const { composition } = now;
  return (
    <section className="leaf space-y-3 p-4" aria-label="The pattern">
      <Field label="Name of the pattern">
        {(ties) => (
          <TextInput
            {...ties}
            value={now.name}
            onChange={({ target: { value } }) => change((draft) => ({ ...draft, name: value }), 'name')}
          />
        )}
      </Field>
      <div className="grid grid-cols-2 gap-2">
        <Field label="It makes a">
          {(ties) => (
            <select
              {...ties}
              className="select w-full text-base"
              value={now.kind}
              onChange={({ target: { value } }) => change((draft) => ({ ...draft, kind: value }))}
            >
              {PATTERN_KINDS.map((kind) => (
                <option key={kind}>{kind}</option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Pieces alike" hint="2 for a pair">
          {(ties) => (
            <select
              {...ties}
              className="select w-full text-base"
              value={composition.copies}
              onChange={({ target: { value } }) =>
                change((draft) => ({
                  ...draft,
                  composition: { ...draft.composition, copies: Number(value) },
                }))
              }
            >
              {[1, 2, 3, 4, 5, 6, 8, 10, 12].map((count) => (
                <option key={count}>{count}</option>
              ))}
            </select>
          )}
        </Field>
      </div>
      <Field label="Notes">
        {(ties) => (
          <textarea
            {...ties}
            rows={2}
            className="textarea w-full text-base"
            value={now.notes}
            onChange={({ target: { value } }) => change((draft) => ({ ...draft, notes: value }), 'notes')}
          />
        )}
      </Field>
    </section>
  );
}
