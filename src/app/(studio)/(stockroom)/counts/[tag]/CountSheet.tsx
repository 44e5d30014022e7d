'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { parseAmountOf } from '@/core/stock/amount';
import { WARE_WORDS } from '@/core/stock/ware';
import { tag } from '@/core/tag';
import type { CountLine, CountSheet as Sheet } from '@/studio/counting/counting';
import { Amount } from '@/ui/Amount';
import { withUnit } from '@/ui/form/fields';
import { useNumbers } from '@/ui/form/useNumbers';
import { useLengths } from '@/ui/lengths';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { postCountAction } from '../actions';
import { useCounted } from './useCounted';

/** A count sheet as it is filled in at the drawer: one line after another, kept as one goes. */
export function CountSheet({ sheet, isOwner }: { sheet: Sheet; isOwner: boolean }) {
  const kept = Object.fromEntries(
    sheet.lines.flatMap(({ id, typed }) => (typed === null ? [] : [[id, typed]])),
  );
  const counted = useCounted(sheet.number, kept);
  const router = useRouter();
  const [reviewing, setReviewing] = useState(false);
  const { waiting, online, problem } = counted;
  const state =
    waiting === 0
      ? 'Saved.'
      : online
        ? `Keeping ${waiting} …`
        : `No connection: ${waiting} kept on this device, sent when it is back.`;
  return (
    <>
      <p
        role="status"
        className={`no-print mt-3 font-semibold ${online ? '' : 'border-l-4 border-warning bg-warning/20 p-3'}`}
      >
        {problem || state}
      </p>
      <ol className="mt-3 space-y-2">
        {sheet.lines.map((line, index) => (
          <Line
            key={line.id}
            line={line}
            typed={counted.typed[line.id] ?? ''}
            wrong={counted.wrong[line.id]}
            onType={(text) => counted.enter(line.id, text)}
            firstOfWare={line.ware !== sheet.lines[index - 1]?.ware}
          />
        ))}
      </ol>
      {sheet.lines.length === 0 && <p className="leaf mt-3 p-6">Nothing lies here by the books.</p>}
      <div className="no-print mt-4">
        {reviewing ? (
          <Review sheet={sheet} isOwner={isOwner} onBack={() => setReviewing(false)} />
        ) : (
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={waiting > 0}
            onClick={() => {
              router.refresh();
              setReviewing(true);
            }}
          >
            Look at the differences
          </button>
        )}
      </div>
    </>
  );
}

function Line({
  line,
  typed,
  wrong,
  onType,
  firstOfWare,
}: {
  line: CountLine;
  typed: string;
  wrong: string | undefined;
  onType: (text: string) => void;
  firstOfWare: boolean;
}) {
  const { system } = useLengths();
  const { ware, unit, number, name, expected, form } = line;
  const { shown, type } = useNumbers(typed, {
    complete: (text) => (ware === 'wire' ? withUnit(text, system) : text),
  });
  const read = typed === '' ? undefined : parseAmountOf({ ware, unit }, typed);
  const error = read && !read.ok ? read.error : wrong;
  return (
    <li>
      {firstOfWare && <h2 className="mt-2 mb-1 first-letter:uppercase">{WARE_WORDS[ware].many}</h2>}
      <div className="leaf grid grid-cols-[minmax(0,1fr)_8.5rem] items-center gap-3 p-3 sm:grid-cols-[minmax(0,1fr)_10rem_8rem]">
        <label htmlFor={line.id} className="min-w-0">
          <span className="font-semibold">{tag(ware, number)}</span> <span className="text-sm">{name}</span>
          <span className="muted block text-sm">
            {form}, books: <Amount ware={ware} unit={unit} of={expected} />
          </span>
        </label>
        <input
          id={line.id}
          className={`input min-h-12 w-full text-right text-lg ${error ? 'input-error' : ''}`}
          aria-label={`${tag(ware, number)} counted`}
          aria-invalid={Boolean(error)}
          inputMode={ware === 'wire' ? 'text' : 'decimal'}
          autoComplete="off"
          value={shown}
          onChange={(event) => onType(type(event.target.value))}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            const boxes = [...document.querySelectorAll<HTMLInputElement>('ol input')];
            boxes[boxes.indexOf(event.currentTarget) + 1]?.focus();
          }}
        />
        <p className="col-span-2 text-sm sm:col-span-1">
          {error ? (
            <span className="font-semibold text-error">{error}</span>
          ) : read?.ok ? (
            read.value === expected ? (
              <span className="muted">as the books say</span>
            ) : (
              <strong>
                {read.value > expected ? '+' : '−'}
                <Amount ware={ware} unit={unit} of={Math.abs(read.value - expected)} />
              </strong>
            )
          ) : null}
        </p>
      </div>
    </li>
  );
}

/** The differences of a count before they are posted, together. */
function Review({ sheet, isOwner, onBack }: { sheet: Sheet; isOwner: boolean; onBack: () => void }) {
  const lines = sheet.lines.filter(({ counted }) => counted !== null);
  const differing = lines.filter(({ counted, expected }) => counted !== expected);
  const { busy, problem, run } = useAct();
  const [key] = useState(newKey);
  const onDone = useDone(({ differences }: { differences: number }) =>
    differences === 0 ? 'Counted: the books were right.' : `Posted: ${differences} put right.`,
  );
  const send = () =>
    run(
      () =>
        postCountAction(
          key,
          sheet.number,
          Object.fromEntries(lines.map(({ id, expected }) => [id, expected])),
        ),
      onDone,
    );
  return (
    <section className="leaf p-4">
      <h2>
        {differing.length === 0
          ? 'No differences'
          : `${differing.length} ${differing.length === 1 ? 'difference' : 'differences'}`}
      </h2>
      {lines.length < sheet.lines.length && (
        <p className="mt-1">
          {sheet.lines.length - lines.length} lines are not counted; they stay as the books have them.
        </p>
      )}
      <ul className="mt-2 space-y-1">
        {differing.map(({ id, ware, unit, number, name, counted, expected, cost }) => (
          <li key={id}>
            {tag(ware, number)} {name}:{' '}
            <Amount ware={ware} unit={unit} of={(counted ?? 0) - expected} signed />
            {isOwner && cost !== null && cost > 0 && (
              <span className="muted"> with its share of the cost</span>
            )}
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          {problem}
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-primary btn-lg"
          disabled={busy || lines.length === 0}
          onClick={() => void send()}
        >
          {busy ? 'Posting …' : 'Post them together'}
        </button>
        <button type="button" className="btn" onClick={onBack}>
          Back to the sheet
        </button>
      </div>
    </section>
  );
}
