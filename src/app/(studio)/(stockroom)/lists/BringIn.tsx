'use client';

import { useRouter } from 'next/navigation';
import { OpenFieldset } from '@/ui/form/OpenFieldset';
import { useState } from 'react';
import { useAct } from '@/ui/useAct';
import { inBase64 } from '@/app/lib/inBase64';
import { openImportAction } from './actions';

interface ListChoice {
  readonly id: string;
  readonly title: string;
  readonly columns: readonly string[];
}

/** Brings a list in from a file: first it is only read, and what is wrong with it is shown. */
export function BringIn({ lists }: { lists: readonly ListChoice[] }) {
  const router = useRouter();
  const [list, setList] = useState(lists[0]?.id ?? '');
  const [file, setFile] = useState<File>();
  const { busy, problem, setProblem, run } = useAct();
  const chosen = lists.find(({ id }) => id === list);
  const send = async () => {
    if (!file) return setProblem('Choose a file first.');
    const base64 = await inBase64(file);
    await run(
      () => openImportAction(list, file.name, base64),
      ({ id }) => router.push(`/lists/${id}`),
    );
  };
  return (
    <section className="leaf p-4">
      <h2>Bring in</h2>
      <OpenFieldset className="mt-2 grid gap-3 sm:grid-cols-2">
        <label className="text-sm font-semibold">
          List
          <select
            className="select w-full text-base font-normal"
            value={list}
            onChange={(event) => setList(event.target.value)}
          >
            {lists.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm font-semibold">
          CSV or spreadsheet file
          <input
            type="file"
            accept=".csv,.xlsx,.ods,.xls,text/csv"
            className="file-input w-full"
            onChange={(event) => setFile(event.target.files?.[0])}
          />
        </label>
      </OpenFieldset>
      <p className="muted mt-2 text-sm">
        Columns: {chosen?.columns.join(', ')}. Other names, another order and titles over the table are
        understood. What the file does not say is asked once.
      </p>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          {problem}
        </p>
      )}
      {busy && (
        <progress className="progress progress-primary mt-3 block w-full" aria-label="Sending the file" />
      )}
      <button
        type="button"
        className="btn btn-primary btn-lg mt-4"
        disabled={busy}
        onClick={() => void send()}
      >
        {busy ? 'Reading …' : 'Read it, post nothing yet'}
      </button>
    </section>
  );
}
