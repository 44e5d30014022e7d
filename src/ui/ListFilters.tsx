'use client';

import { useRef } from 'react';
import { Link } from './Link';
import type { ListChoice } from './listChoices';

/** Narrows and sorts a list; works by the address, so that it can be kept and sent, and without scripts. */
export function ListFilters({
  label,
  action,
  placeholder,
  chosen,
  selects,
}: {
  label: string;
  /** Address of the list. */
  action: string;
  placeholder: string;
  /** What the address asks, without where the page begins. */
  chosen: Readonly<Record<string, string | undefined>>;
  selects: readonly ListChoice[];
}) {
  const form = useRef<HTMLFormElement>(null);
  const isAsked = Object.entries(chosen).some(([name, value]) => name !== 'sort' && value !== undefined);
  return (
    <form
      ref={form}
      action={action}
      key={JSON.stringify(chosen)}
      role="search"
      aria-label={label}
      className="no-print mt-3 grid grid-cols-2 gap-2 md:flex md:flex-wrap"
    >
      <label className="col-span-2 md:w-64">
        <span className="sr-only">{placeholder}</span>
        <input
          name="words"
          type="search"
          className="input w-full"
          placeholder={placeholder}
          defaultValue={chosen['words'] ?? ''}
        />
      </label>
      {selects.map(({ name, label: says, choices, none }) => (
        <select
          key={name}
          name={name}
          aria-label={says}
          className="select w-full md:w-auto"
          defaultValue={chosen[name] ?? ''}
          onChange={() => form.current?.requestSubmit()}
        >
          <option value="">{none}</option>
          {choices.map(({ value, text }) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      ))}
      <button type="submit" className="btn">
        Show
      </button>
      {isAsked && (
        <Link href={action} className="btn btn-ghost">
          Show all
        </Link>
      )}
    </form>
  );
}
