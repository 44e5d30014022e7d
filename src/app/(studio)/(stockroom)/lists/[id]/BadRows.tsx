'use client';

import { counted } from '@/core/units/counted';
import type { ImportView } from '@/studio/lists/importFile';
import { TextInput } from '@/ui/form/Field';
import { useKeptTexts } from '@/ui/form/useKeptTexts';
import { Said } from '@/ui/house';

interface MendedCell {
  readonly line: string;
  readonly column: string;
  readonly text: string;
}

interface BadRowsProps {
  readonly view: ImportView;
  readonly count: number;
  /** What to do with mended cells; undefined when nothing can be mended any more. */
  readonly onMend: ((cells: MendedCell[]) => void) | undefined;
}

const keyOf = (line: number, column: string): string => `${line} ${column}`;

/** Rows that cannot come in yet: each says why, and is mended in place. */
export function BadRows({ view, count, onMend }: BadRowsProps) {
  const { texts, type } = useKeptTexts('cells');
  // What was typed before counts as long as its cell is wrong and says something else.
  const cells = view.bad.flatMap(({ line, wrong }) =>
    wrong.flatMap(({ key, text: said }): MendedCell[] => {
      const text = texts[keyOf(line, key)] ?? said;
      return text === said ? [] : [{ line: String(line), column: key, text }];
    }),
  );
  const waiting = new Set(view.questions.map(({ asks }) => asks));
  return (
    <section className="leaf mt-4 overflow-x-auto p-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2>
          <Said>{count.toLocaleString('en-US')}</Said> {count === 1 ? 'row' : 'rows'} that cannot come in yet
          {count > view.bad.length && <span className="muted"> · the first {view.bad.length}</span>}
        </h2>
        {onMend && cells.length > 0 && (
          <button type="button" className="btn btn-primary" onClick={() => onMend(cells)}>
            Read the {counted(cells.length, 'mended cell')} again
          </button>
        )}
      </div>
      <table className="table table-sm mt-2">
        <thead>
          <tr>
            <th className="text-right">Line</th>
            <th>It says</th>
            <th>What is wrong</th>
          </tr>
        </thead>
        <tbody>
          {view.bad.map(({ line, wrong, cells }) => (
            <tr key={line}>
              <td className="text-right align-top">{line}</td>
              <td className="muted align-top">{cells.filter(Boolean).join(' · ').slice(0, 160)}</td>
              <td className="min-w-64 space-y-2 align-top">
                {wrong.some(({ why }) => waiting.has(why)) && (
                  <p className="muted">waits for an answer above</p>
                )}
                {wrong
                  .filter(({ why }) => !waiting.has(why))
                  .map(({ key, title, text, why }) => (
                    <label key={key} className="block">
                      <span className="font-semibold">
                        {title}: <Said>{why}</Said>
                      </span>
                      {onMend && (
                        <TextInput
                          aria-label={`${title} of line ${line}`}
                          value={texts[keyOf(line, key)] ?? text}
                          onChange={({ target: { value } }) => type(keyOf(line, key), value)}
                        />
                      )}
                    </label>
                  ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
