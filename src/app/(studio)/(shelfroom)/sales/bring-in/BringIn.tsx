'use client';

import { useState } from 'react';
import { PAID_BY } from '@/core/selling/sale';
import { SALES_COLUMNS, NEEDED_COLUMNS, type SalesColumn } from '@/core/selling/salesFile';
import { counted } from '@/core/units/counted';
import type { SalesFileEntered, SalesFileLook } from '@/studio/selling/salesFile';
import { SalesFileInput } from '@/studio/selling/salesFile.input';
import { PAID_SAID } from '@/app/lib/basket/BasketFields';
import { inBase64 } from '@/app/lib/inBase64';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField } from '@/ui/form/fields';
import { OpenFieldset } from '@/ui/form/OpenFieldset';
import { Link } from '@/ui/Link';
import { useAct } from '@/ui/useAct';
import { enterSalesFileAction, lookAtSalesFileAction } from './actions';

interface BringInProps {
  readonly channels: readonly { readonly id: string; readonly name: string }[];
}

interface Opened {
  readonly name: string;
  readonly base64: string;
  readonly look: SalesFileLook;
}

const COLUMN_SAID: Readonly<Record<SalesColumn, string>> = {
  order: 'The order: rows of the same are one sale',
  day: 'The day',
  piece: 'The tag of the piece',
  price: 'What was paid for it',
  buyer: 'The buyer',
};

/** What was chosen for files with the same titles is asked once: it is kept on this device. */
const keptFor = (titles: readonly string[]): string => `columns of sales ${titles.join('|')}`;

type Chosen = Readonly<Record<SalesColumn | 'channel' | 'paidBy', string>>;

function chosenBefore({ titles, guessed }: SalesFileLook, channel: string): Chosen {
  const plain: Chosen = {
    ...{ channel, paidBy: 'card' },
    ...(Object.fromEntries(
      SALES_COLUMNS.map((column) => [column, guessed[column] === null ? '' : String(guessed[column])]),
    ) as Record<SalesColumn, string>),
  };
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keptFor(titles)) ?? 'null');
    return typeof kept === 'object' && kept !== null ? { ...plain, ...(kept as Partial<Chosen>) } : plain;
  } catch {
    return plain;
  }
}

/** A device that keeps nothing is asked again; what was entered is entered all the same. */
function keepChosen(titles: readonly string[], chosen: object): void {
  try {
    localStorage.setItem(keptFor(titles), JSON.stringify(chosen));
  } catch {
    // As above.
  }
}

/** A file is chosen, looked at, and its sales are entered. */
export function BringIn({ channels }: BringInProps) {
  const [opened, setOpened] = useState<Opened>();
  const [entered, setEntered] = useState<SalesFileEntered>();
  const { busy, problem, run } = useAct();
  const open = async (file: File | undefined) => {
    setEntered(undefined);
    setOpened(undefined);
    if (!file) return;
    const base64 = await inBase64(file);
    await run(
      () => lookAtSalesFileAction(base64),
      (look) => setOpened({ name: file.name, base64, look }),
    );
  };
  return (
    <>
      <section className="leaf mt-3 p-4">
        <OpenFieldset>
          <label className="block text-sm font-semibold">
            CSV or spreadsheet file
            <input
              type="file"
              accept=".csv,.txt,.xlsx,.xls,.ods,text/csv"
              className="file-input block w-full text-base font-normal"
              disabled={busy}
              onChange={(event) => void open(event.target.files?.[0])}
            />
          </label>
        </OpenFieldset>
        {problem !== '' && (
          <p role="alert" className="mt-2 font-semibold text-error">
            {problem}
          </p>
        )}
      </section>
      {opened && !entered && (
        <ReadFile key={opened.base64} opened={opened} channels={channels} onEntered={setEntered} />
      )}
      {entered && <Entered entered={entered} />}
    </>
  );
}

function ReadFile({
  opened: { name, base64, look },
  channels,
  onEntered,
}: BringInProps & { readonly opened: Opened; readonly onEntered: (entered: SalesFileEntered) => void }) {
  const { titles, rows, count } = look;
  const columns = titles.map((title, index) => ({
    value: String(index),
    text: title === '' ? `column ${index + 1}` : title,
  }));
  return (
    <section className="leaf mt-3 p-4" aria-label={name}>
      <h2>
        {name}: {counted(count, 'row')}
      </h2>
      <div className="mt-2 overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              {titles.map((title, index) => (
                <th key={index} scope="col">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, index) => (
              <tr key={index}>
                {row.map((cell, at) => (
                  <td key={at}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <ActForm
        input={SalesFileInput}
        defaultValues={chosenBefore(look, channels[0]?.id ?? '') as unknown as SalesFileInput}
        typedFor={null}
        send={async (_key, chosen) => {
          const answer = await enterSalesFileAction(base64, chosen);
          if (answer.ok) keepChosen(titles, chosen);
          return answer;
        }}
        onDone={onEntered}
        action="Enter them"
        busy="Entering …"
        quiet={false}
      >
        {(control) => (
          <>
            <ChoiceField
              control={control}
              name="channel"
              label="Where it was sold"
              choices={channels.map(({ id, name: called }) => ({ value: id, text: called }))}
            />
            <ChoiceField
              control={control}
              name="paidBy"
              label="Paid"
              choices={PAID_BY.map((value) => ({ value, text: PAID_SAID[value] }))}
            />
            {SALES_COLUMNS.map((column) => (
              <ChoiceField
                key={column}
                control={control}
                name={column}
                label={COLUMN_SAID[column]}
                choices={[
                  {
                    value: '',
                    text: NEEDED_COLUMNS.includes(column) ? 'Choose a column…' : 'Not in this file',
                  },
                  ...columns,
                ]}
              />
            ))}
          </>
        )}
      </ActForm>
    </section>
  );
}

function Entered({ entered: { entered, unsettled, wrong } }: { entered: SalesFileEntered }) {
  return (
    <section className="leaf mt-3 p-4" role="status" aria-label="What is entered">
      <h2>
        {counted(entered, 'sale')} of the file {entered === 1 ? 'has its receipt' : 'have their receipts'}
      </h2>
      {unsettled > 0 && (
        <p className="mt-1 border-l-4 border-error pl-2 font-semibold">
          {counted(unsettled, 'sale')} could not be entered as {unsettled === 1 ? 'it stands' : 'they stand'},
          and {unsettled === 1 ? 'waits' : 'wait'} to be settled under{' '}
          <Link className="link" href="/sales">
            Sales
          </Link>
          .
        </p>
      )}
      {wrong.length > 0 && (
        <>
          <p className="mt-2 font-semibold">
            Nothing was entered of {counted(wrong.length, 'line')}; mend {wrong.length === 1 ? 'it' : 'them'}{' '}
            in the file and read it again:
          </p>
          <ul className="list-disc pl-6">
            {wrong.map(({ line, why }) => (
              <li key={line}>
                Line {line}: {why}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-2">
        <Link className="link" href="/sales">
          To the sales
        </Link>
      </p>
    </section>
  );
}
