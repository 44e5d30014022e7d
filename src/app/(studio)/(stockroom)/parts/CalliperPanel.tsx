'use client';

import { useState } from 'react';
import { formatDiameter, parseLength, um, type Micrometres } from '@/core/units/length';
import { formatGauge, identifyGauge } from '@/core/wire/gauge';
import { SimulatedCalliper } from '@/devices/calliper/simulated';

/**
 * The simulated calliper: say what is between its jaws, close it, and read what that most likely is, in every system.
 * @param onRead takes the reading as well, where something is to be done with it
 */
export function CalliperPanel({ onRead }: { onRead?: (reading: Micrometres) => void }) {
  const [between, setBetween] = useState('');
  const [reading, setReading] = useState<Micrometres>();
  const typed = parseLength(between, 'mm');
  const close = async () => {
    if (!typed.ok || typed.value === 0) return;
    const read = await new SimulatedCalliper(um(typed.value)).close();
    setReading(read);
    onRead?.(read);
  };
  return (
    <section aria-label="Calliper" className="rounded border border-base-300 p-3">
      <h3 className="text-base">Calliper</h3>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <label className="text-sm font-semibold">
          Between the jaws, or typed
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
        <button
          type="button"
          className="btn"
          disabled={!typed.ok || typed.value === 0}
          onClick={() => void close()}
        >
          Close it
        </button>
      </div>
      {between !== '' && !typed.ok && <p className="mt-1 text-sm font-semibold text-error">{typed.error}</p>}
      {reading !== undefined && <Named reading={reading} />}
    </section>
  );
}

/** What a measured size most likely is. */
export function Named({ reading }: { reading: Micrometres }) {
  const { candidates, ambiguous } = identifyGauge(reading);
  const [first, second] = candidates;
  return (
    <div className="mt-2" role="status">
      <p>
        Reads <strong>{formatDiameter(reading)}</strong>
        {first && (
          <>
            : most likely <strong>{formatGauge(first)}</strong>
          </>
        )}
        {ambiguous && second && <> — but another label is as likely within what a calliper can tell</>}.
      </p>
      <ul className="mt-1 text-sm">
        {candidates.map((candidate) => (
          <li key={candidate.system}>
            {formatGauge(candidate)} is {formatDiameter(candidate.size)}:{' '}
            {candidate.deviation === 0
              ? 'exactly'
              : `${formatDiameter(um(Math.abs(candidate.deviation)))} ${candidate.deviation > 0 ? 'thinner than measured' : 'thicker than measured'}`}
          </li>
        ))}
      </ul>
    </div>
  );
}
