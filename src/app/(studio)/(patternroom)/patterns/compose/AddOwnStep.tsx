'use client';

import { memo, useId, useState } from 'react';
import { LONGEST_NAME } from '@/core/pattern/ownSteps';
import { TextInput } from '@/ui/form/Field';

/** What makers often add; common practice. */
const OFTEN = [
  'antique and polish',
  'hammer what juts out',
  'kink the wires to tighten them',
  'try the stone again',
  'photograph it, front and back',
  'tumble',
  'look for sharp ends',
  'weigh it',
] as const;

/** Adds a step that no technique has: it is named, and stands last until it is moved. */
export const AddOwnStep = memo(function AddOwnStep({ onAdd }: { onAdd: (name: string) => void }) {
  const [name, setName] = useState('');
  const listId = useId();
  const add = () => {
    if (name.trim() === '') return;
    onAdd(name.trim());
    setName('');
  };
  return (
    <form
      className="mt-3 flex items-end gap-2 border-t border-base-300 pt-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <label className="min-w-0 grow text-sm font-semibold">
        A step of your own
        <TextInput
          className="font-normal"
          value={name}
          maxLength={LONGEST_NAME}
          list={listId}
          onChange={({ target: { value } }) => setName(value)}
        />
      </label>
      <datalist id={listId}>
        {OFTEN.map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
      <button type="submit" className="btn">
        Add step
      </button>
    </form>
  );
});
