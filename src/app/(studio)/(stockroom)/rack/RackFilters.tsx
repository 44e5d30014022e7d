'use client';

import { Link } from '@/ui/Link';
import { useRef } from 'react';
import { metalOf, type MetalId } from '@/core/wire/metal';
import type { RackFilterChoices, RackQuery } from '@/studio/wire/rack';

const sayGauge = (text: string): string => text.replace(/ AWG$/, ' ga');

/** Narrows the rack; works by the address, so that it can be kept and sent. */
export function RackFilters({ choices, chosen }: { choices: RackFilterChoices; chosen: RackQuery }) {
  const form = useRef<HTMLFormElement>(null);
  const select = (
    name: 'metal' | 'profile' | 'gauge' | 'temper',
    label: string,
    values: readonly string[],
    say: (value: string) => string,
  ) => (
    <select
      name={name}
      aria-label={label}
      className="select w-full md:w-auto"
      defaultValue={chosen[name] ?? ''}
      onChange={() => form.current?.requestSubmit()}
    >
      <option value="">{label}: all</option>
      {values.map((value) => (
        <option key={value} value={value}>
          {say(value)}
        </option>
      ))}
    </select>
  );
  return (
    <form
      ref={form}
      action="/rack"
      key={JSON.stringify(chosen)}
      role="search"
      aria-label="The rack"
      className="no-print mt-3 grid grid-cols-2 gap-2 md:flex md:flex-wrap"
    >
      <label className="col-span-2 md:w-64">
        <span className="sr-only">Words or number</span>
        <input
          name="words"
          type="search"
          className="input w-full"
          placeholder="Words or a number, like W-0012"
          defaultValue={chosen.words ?? ''}
        />
      </label>
      {select('metal', 'Metal', choices.metals, (id) => metalOf(id as MetalId).name)}
      {select('profile', 'Profile', choices.profiles, (value) => value)}
      {select('gauge', 'Gauge', choices.gauges, sayGauge)}
      {select('temper', 'Temper', choices.tempers, (value) => value)}
      <button type="submit" className="btn">
        Show
      </button>
      {Object.keys(chosen).length > 0 && (
        <Link href="/rack" className="btn btn-ghost">
          Show all
        </Link>
      )}
    </form>
  );
}
