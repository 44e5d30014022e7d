'use client';

import { useState } from 'react';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { Field } from '@/ui/form/Field';
import { SmallPicture } from '@/ui/SmallPicture';

const USUAL_TERMS =
  'Orders of ten pieces or more.\nReady in about four weeks.\nPaid within 30 days of being handed over.';

/** Chooses what stands on a line sheet: a form that the browser itself sends to where the sheet is. */
export function SheetForm({
  channels,
  patterns,
  most,
}: {
  channels: readonly { readonly value: string; readonly text: string }[];
  patterns: readonly { readonly number: number; readonly name: string }[];
  most: number;
}) {
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const toggle = (number: number) =>
    setChosen((before) => {
      const after = new Set(before);
      if (!after.delete(number)) after.add(number);
      return after;
    });
  const sought = words.trim().toLowerCase();
  const isSought = (name: string) => name.toLowerCase().includes(sought);
  return (
    <form action="/line-sheet.pdf" target="_blank" className="mt-3">
      <section className="leaf grid items-start gap-3 p-4 sm:grid-cols-2" aria-label="For whom">
        <Field label="Prices of">
          {(ties) => (
            <select {...ties} name="channel" className="select w-full text-base">
              {channels.map(({ value, text }) => (
                <option key={value} value={value}>
                  {text}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="How they are sold" hint="At the end of the sheet, line by line">
          {(ties) => (
            <textarea
              {...ties}
              name="terms"
              rows={3}
              maxLength={1000}
              defaultValue={USUAL_TERMS}
              className="textarea w-full text-base"
            />
          )}
        </Field>
      </section>
      <section className="leaf mt-4 p-4">
        <h2>{chosen.size === 0 ? 'Which patterns?' : counted(chosen.size, 'pattern')}</h2>
        <Field label="Look for">
          {(ties) => (
            <input
              {...ties}
              className="input w-full text-base sm:w-80"
              value={words}
              onChange={({ target }) => setWords(target.value)}
            />
          )}
        </Field>
        <ul className="mt-2 grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
          {patterns.map(({ number, name }) => (
            // What is chosen is sent whether it is looked for or not.
            <li key={number} hidden={!isSought(name)}>
              <label className="flex min-h-14 cursor-pointer items-center gap-3">
                <input
                  type="checkbox"
                  name="pattern"
                  value={number}
                  className="checkbox"
                  checked={chosen.has(number)}
                  disabled={!chosen.has(number) && chosen.size >= most}
                  onChange={() => toggle(number)}
                />
                <SmallPicture of="pattern" number={number} name={name} className="h-12 w-12" />
                <span className="[overflow-wrap:anywhere]">
                  {name} <span className="muted">{tag('pattern', number)}</span>
                </span>
              </label>
            </li>
          ))}
        </ul>
        <button type="submit" className="btn btn-primary mt-3 min-h-11" disabled={chosen.size === 0}>
          Make the line sheet
        </button>
      </section>
    </form>
  );
}
