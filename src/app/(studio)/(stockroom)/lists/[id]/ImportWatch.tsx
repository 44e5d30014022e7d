'use client';

import { Link } from '@/ui/Link';
import { useEffect, useState } from 'react';
import type { ImportView, Mapping } from '@/studio/lists/importFile';
import { Fold } from '@/ui/Fold';
import { OFFLINE } from '@/ui/form/problem';
import { useAct } from '@/ui/useAct';
import {
  answerImportAction,
  cancelImportAction,
  mapImportAction,
  mendImportAction,
  postImportAction,
  watchImportAction,
} from '../actions';
import { BadRows } from './BadRows';
import { ImportQuestions } from './ImportQuestions';
import { Said } from '@/ui/house';

interface ImportWatchProps {
  readonly view: ImportView;
  readonly listTitle: string;
  readonly columns: readonly { readonly key: string; readonly title: string; readonly required: boolean }[];
}

const LOOK_MS = 700;
const say = (count: number, one: string, many = `${one}s`) =>
  `${count.toLocaleString('en-US')} ${count === 1 ? one : many}`;

/** A file on its way in: how far it is, what is wrong with its rows, and what is to be done with the good ones. */
export function ImportWatch({ view: first, listTitle, columns }: ImportWatchProps) {
  const [view, setView] = useState(first);
  const { problem, setProblem, run } = useAct();
  const busy = (view.state === 'checking' || view.state === 'posting') && !view.isStalled;
  useEffect(() => {
    if (!busy) return;
    const timer = setInterval(() => {
      watchImportAction(first.id).then(
        (answer) => answer.ok && answer.value && setView(answer.value),
        () => setProblem(OFFLINE.message),
      );
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [busy, first.id, setProblem]);
  const act = (work: Parameters<typeof run<null>>[0], next: ImportView['state']) =>
    run(work, () => setView((now) => ({ ...now, state: next, done: 0, isStalled: false })));
  const badCount = view.total - view.good;
  const asked = new Set(view.questions.map(({ column }) => column));
  const missing = columns.filter(
    ({ key, required }) => required && view.good === 0 && !asked.has(key) && (view.mapping[key] ?? -1) < 0,
  );
  return (
    <>
      <h1>
        <Said>{headline(view, listTitle)}</Said>
      </h1>
      <p className="muted">
        {view.fileName}
        {view.passedOver > 0 && (
          <Said>{` · ${say(view.passedOver, 'line')} that ${view.passedOver === 1 ? 'is' : 'are'} no stock passed over`}</Said>
        )}
      </p>
      {(problem || view.message) && (
        <p role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          <Said>{problem || view.message}</Said>
        </p>
      )}
      {busy && (
        <div className="leaf mt-4 flex flex-wrap items-center gap-4 p-4">
          <progress
            className="progress progress-primary w-full sm:w-96"
            value={view.done}
            max={view.total}
            aria-label={view.state === 'checking' ? 'Reading' : 'Posting'}
          />
          <span role="status">
            <Said>{`${view.done.toLocaleString('en-US')} of ${view.total.toLocaleString('en-US')}`}</Said>
          </span>
          <button
            type="button"
            className="btn ml-auto"
            onClick={() => void act(() => cancelImportAction(view.id), 'cancelled')}
          >
            Stop it
          </button>
        </div>
      )}
      {view.state === 'checked' && (
        <div className="mt-4 flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={view.good === 0}
            onClick={() => void act(() => postImportAction(view.id, 'good rows'), 'posting')}
          >
            Post {badCount === 0 ? 'all' : 'the'}{' '}
            <Said>{say(view.good, badCount === 0 ? 'row' : 'good row')}</Said>
          </button>
          {badCount > 0 && view.good > 0 && (
            <button
              type="button"
              className="btn btn-lg"
              onClick={() => void act(() => postImportAction(view.id, 'all or none'), 'posting')}
            >
              All or none
            </button>
          )}
        </div>
      )}
      {view.state === 'checked' && view.questions.length > 0 && (
        <ImportQuestions
          key={view.questions.map(({ id }) => id).join()}
          questions={view.questions}
          onAnswer={(answers) => void act(() => answerImportAction(view.id, { answers }), 'checking')}
        />
      )}
      {!busy && view.state !== 'posted' && (
        <section className="leaf mt-4 px-4 py-2">
          {missing.length > 0 && (
            <p role="alert" className="my-2 border-l-4 border-warning bg-warning/10 p-3 font-semibold">
              No column of the file is known as {missing.map(({ title }) => title).join(' or ')}. Say which it
              is, and it is read again.
            </p>
          )}
          <Fold
            title="Which column is which"
            open={view.good === 0 && (view.questions.length === 0 || missing.length > 0)}
          >
            <MappingForm
              view={view}
              columns={columns}
              onMap={(mapping) => void act(() => mapImportAction(view.id, mapping), 'checking')}
            />
          </Fold>
        </section>
      )}
      {view.bad.length > 0 && view.state !== 'checking' && (
        <BadRows
          key={`${view.good} ${view.questions.length}`}
          view={view}
          count={badCount}
          onMend={
            view.state === 'checked'
              ? (cells) => void act(() => mendImportAction(view.id, { cells }), 'checking')
              : undefined
          }
        />
      )}
      <p className="mt-4">
        <Link href="/lists" className="link">
          All lists
        </Link>
      </p>
    </>
  );
}

function headline({ state, good, total, done, isStalled }: ImportView, title: string): string {
  if (isStalled) return 'This was cut off; nothing was posted. Read it once more.';
  switch (state) {
    case 'checking':
      return `Reading ${say(total, 'row')} of ${title.toLowerCase()} …`;
    case 'checked':
      return `${say(good, 'row is', 'rows are')} good, ${say(total - good, 'is', 'are')} not`;
    case 'posting':
      return `Posting ${say(good, 'row')} …`;
    case 'posted':
      return `${say(done, 'row')} came in`;
    case 'cancelled':
      return 'Stopped; nothing was posted';
    case 'failed':
      return 'This could not be read';
  }
}

function MappingForm({
  view,
  columns,
  onMap,
}: {
  view: ImportView;
  columns: ImportWatchProps['columns'];
  onMap: (mapping: Mapping) => void;
}) {
  const [mapping, setMapping] = useState(view.mapping);
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3 lg:grid-cols-4">
        {columns.map(({ key, title, required }) => (
          <label key={key} className="text-sm font-semibold">
            {title}
            {required && <span className="muted font-normal"> · needed</span>}
            <select
              className="select w-full text-base font-normal"
              value={mapping[key] ?? -1}
              onChange={(event) => setMapping((now) => ({ ...now, [key]: Number(event.target.value) }))}
            >
              <option value={-1}>not in the file</option>
              {view.header.map((name, index) => (
                <option key={index} value={index}>
                  {name || `column ${index + 1}`}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
      <button type="button" className="btn mt-4" onClick={() => onMap(mapping)}>
        Read it this way
      </button>
    </>
  );
}
