'use client';

import { useId } from 'react';
import { ACTS, type Act } from '@/core/judgement/finishes';
import { isAct, LONGEST_NAME, OWN_STEP_KINDS, type OwnStep, type OwnStepKind } from '@/core/pattern/ownSteps';
import { TextInput } from '@/ui/form/Field';
import { RemoveButton } from '@/ui/form/RowButtons';

const KINDS: Readonly<Record<OwnStepKind, string>> = {
  work: 'work to do',
  check: 'a check: look before going on',
  stop: 'a stop: nothing goes on before',
};

const DOES: Readonly<Record<Act, string>> = {
  antiquing: 'antiques it',
  hammering: 'hammers it',
  filing: 'files it',
  marking: 'marks it with ink',
};

/** What a step of the maker’s own is called, and all that is said of it. */
export function OwnStepFields({
  step,
  wrong,
  onChange,
  onRemove,
}: {
  step: OwnStep;
  wrong: string;
  onChange: (id: string, change: Partial<Omit<OwnStep, 'id'>>, label: string) => void;
  onRemove: (id: string) => void;
}) {
  const { id, name, minutes, once, kind, does } = step;
  const wrongId = useId();
  const change = (next: Partial<Omit<OwnStep, 'id'>>) => onChange(id, next, `${id}.${Object.keys(next)[0]}`);
  const field = 'text-sm font-semibold';
  return (
    <fieldset className="grid grid-cols-2 gap-2 border-l-4 border-base-300 pl-3">
      <legend className="sr-only">Step of your own: {name}</legend>
      <label className={`col-span-2 ${field}`}>
        What is done
        <TextInput
          className="font-normal"
          value={name}
          maxLength={LONGEST_NAME}
          aria-invalid={wrong !== ''}
          aria-describedby={wrong === '' ? undefined : wrongId}
          onChange={({ target: { value } }) => change({ name: value })}
        />
      </label>
      <label className={field}>
        Minutes
        <TextInput
          className="font-normal"
          inputMode="decimal"
          value={minutes}
          aria-invalid={wrong !== ''}
          aria-describedby={wrong === '' ? undefined : wrongId}
          onChange={({ target: { value } }) => change({ minutes: value })}
        />
      </label>
      <label className="flex min-h-11 items-center gap-2 self-end text-sm">
        <input
          type="checkbox"
          className="checkbox"
          checked={once}
          onChange={({ target: { checked } }) => change({ once: checked })}
        />
        once for all of a sitting
      </label>
      <label className={`col-span-2 ${field}`}>
        It is
        <select
          className="select w-full text-base font-normal"
          value={kind}
          onChange={({ target: { value } }) => change({ kind: value as OwnStepKind })}
        >
          {OWN_STEP_KINDS.map((each) => (
            <option key={each} value={each}>
              {KINDS[each]}
            </option>
          ))}
        </select>
      </label>
      <label className={`col-span-2 ${field}`}>
        To all wire of the piece
        <select
          className="select w-full text-base font-normal"
          value={does}
          onChange={({ target: { value } }) => change({ does: isAct(value) ? value : '' })}
        >
          <option value="">nothing that a finish minds</option>
          {ACTS.map((each) => (
            <option key={each} value={each}>
              {DOES[each]}
            </option>
          ))}
        </select>
      </label>
      {wrong !== '' && (
        <p id={wrongId} role="alert" className="col-span-2 text-sm font-semibold text-error">
          {wrong}
        </p>
      )}
      <div className="col-span-2">
        <RemoveButton what={name || 'the step'} onClick={() => onRemove(id)} />
      </div>
    </fieldset>
  );
}
