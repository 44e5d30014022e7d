'use client';

import { useState, type ReactNode } from 'react';
import { formatDiameter, parseLength, um, type Micrometres } from '@/core/units/length';
import { formatGauge, identifyGauge, type GaugeLabel } from '@/core/wire/gauge';
import { SimulatedCalliper } from '@/devices/calliper/simulated';
import { useDevice } from '@/app/lib/devices';
import { readNumbers } from '@/core/units/writing';
import { Said, useHouse } from '@/ui/house';
import { useAct } from '@/ui/useAct';
import { readCalliperAction } from './instrumentActions';

/**
 * What a size that was measured most likely is, in every system: typed, read off the calliper of the studio, or closed on with the
 * simulated one.
 * @param onTake takes a label that was suggested
 * @param suggest what else a reading suggests, shown beneath the labels
 */
export function CalliperPanel({
  onTake,
  suggest,
}: {
  onTake: (label: GaugeLabel) => void;
  suggest: (reading: Micrometres) => ReactNode;
}) {
  const kind = useDevice('calliper');
  const { numbers } = useHouse();
  const { busy, problem, run } = useAct();
  const [between, setBetween] = useState('');
  const [reading, setReading] = useState<Micrometres>();
  const typed = parseLength(readNumbers(between, numbers), 'mm');
  const isSize = typed.ok && typed.value > 0;
  const close = async () => {
    if (!isSize) return;
    setReading(kind === 'simulated' ? await new SimulatedCalliper(um(typed.value)).close() : typed.value);
  };
  return (
    <section aria-label="Calliper" className="rounded border border-base-300 p-3">
      <h3 className="text-base">Calliper</h3>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <label className="text-sm font-semibold">
          {kind === 'simulated' ? 'Between the jaws, or typed' : 'Measured across'}
          <input
            className="input w-full text-base font-normal"
            value={between}
            placeholder="0.72 mm"
            onChange={(event) => {
              setBetween(event.target.value);
              setReading(undefined);
            }}
          />
        </label>
        <button type="button" className="btn" disabled={!isSize} onClick={() => void close()}>
          {kind === 'simulated' ? 'Close it' : 'What is it?'}
        </button>
        {kind === 'address' && (
          <button
            type="button"
            className="btn"
            disabled={busy}
            onClick={() =>
              void run(readCalliperAction, (size) => {
                setBetween(formatDiameter(size));
                setReading(size);
              })
            }
          >
            Read the calliper
          </button>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-sm font-semibold text-error">
          {problem}
        </p>
      )}
      {between !== '' && !typed.ok && <p className="mt-1 text-sm font-semibold text-error">{typed.error}</p>}
      {reading !== undefined && (
        <>
          <Named reading={reading} onTake={onTake} />
          {suggest(reading)}
        </>
      )}
    </section>
  );
}

/** What a measured size most likely is. */
function Named({ reading, onTake }: { reading: Micrometres; onTake: (label: GaugeLabel) => void }) {
  const { candidates, ambiguous } = identifyGauge(reading);
  const [first, second] = candidates;
  return (
    <div className="mt-2" role="status">
      <p>
        Reads{' '}
        <strong>
          <Said>{formatDiameter(reading)}</Said>
        </strong>
        {first && (
          <>
            : most likely <strong>{formatGauge(first)}</strong>
          </>
        )}
        {ambiguous && second && <> — but another label is as likely within what a calliper can tell</>}.
      </p>
      <ul className="mt-1 text-sm">
        {candidates.map((candidate) => (
          <li key={candidate.system} className="flex flex-wrap items-center gap-x-3">
            <button type="button" className="btn btn-sm my-0.5" onClick={() => onTake(candidate)}>
              Take {formatGauge(candidate)}
            </button>
            {formatGauge(candidate)} is <Said>{formatDiameter(candidate.size)}</Said>:{' '}
            {candidate.deviation === 0
              ? 'exactly'
              : `${formatDiameter(um(Math.abs(candidate.deviation)))} ${candidate.deviation > 0 ? 'thinner than measured' : 'thicker than measured'}`}
          </li>
        ))}
      </ul>
    </div>
  );
}
