'use client';

import { useEffect, useState } from 'react';
import { formatMass, formatTroyOunces, parseMass, type Micrograms } from '@/core/units/mass';
import { trimmedDecimal } from '@/core/units/quantity';
import { SCALE_UNITS, type ScaleReading, type ScaleUnit } from '@/devices/scale/port';
import { useDevice } from '@/app/lib/devices';
import { Tick } from '@/ui/form/Tick';
import { useAct } from '@/ui/useAct';
import { readScaleAction } from './instrumentActions';
import { readingOf, RESTING, SimulatedScale, ticked, withLoad, withZero } from '@/devices/scale/simulated';

const TICK_MS = 150;
/** Creep of a draughty scale for each tick, µg. */
const DRAUGHT = 3000;

const shownAs = ({ mass, unit }: ScaleReading): string => {
  if (unit === 'g') return `${(mass / 1e6).toFixed(2)} g`;
  if (unit === 'oz t') return formatTroyOunces(mass);
  return `${trimmedDecimal(mass / 28_349_523.125, 4)} oz`;
};

interface ScalePanelProps {
  readonly onRead: (mass: Micrograms, resolution: Micrograms) => void;
}

/** The scale that the studio has: the stand-in of the demonstration, or one at an address; nothing where there is none. */
export function ScalePanel({ onRead }: ScalePanelProps) {
  const kind = useDevice('scale');
  if (kind === 'none') return null;
  return kind === 'simulated' ? <SimulatedPanel onRead={onRead} /> : <AddressedPanel onRead={onRead} />;
}

/** A scale at an address: it is asked for what it shows. */
function AddressedPanel({ onRead }: ScalePanelProps) {
  const { busy, problem, run } = useAct();
  return (
    <section className="leaf p-4" aria-label="Scale">
      <h2>Scale</h2>
      <button
        type="button"
        className="btn btn-outline mt-3 w-full"
        disabled={busy}
        onClick={() => void run(readScaleAction, ({ mass, division }) => onRead(mass, division))}
      >
        {busy ? 'Reading …' : 'Read the scale'}
      </button>
      {problem && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {problem}
        </p>
      )}
    </section>
  );
}

/**
 * The simulated scale: something is put on it by saying what that weighs, then its display is read as a real one's would be.
 * @param onRead takes a resting reading and the scale's division
 */
function SimulatedPanel({ onRead }: ScalePanelProps) {
  const [scale] = useState(() => new SimulatedScale());
  const [reading, setReading] = useState<ScaleReading>(() => readingOf(RESTING));
  const [unit, setUnit] = useState<ScaleUnit>('g');
  const [draughty, setDraughty] = useState(false);
  const [load, setLoad] = useState('');
  useEffect(() => {
    const stop = scale.watch(setReading);
    const timer = setInterval(() => scale.change(ticked), TICK_MS);
    return () => {
      stop();
      clearInterval(timer);
    };
  }, [scale]);
  const putOn = (text: string) => {
    setLoad(text);
    const mass = parseMass(/^[\d.,\s/]+$/.test(text) ? `${text} g` : text);
    scale.change((state) => withLoad(state, (mass.ok ? mass.value : 0) as Micrograms));
  };
  return (
    <section className="leaf p-4" aria-label="Scale">
      <h2>Scale</h2>
      <p className="muted text-sm">A stand-in: say what lies on the pan, and read it.</p>
      <p
        className="mt-3 rounded bg-neutral p-3 text-right font-display text-3xl text-neutral-content"
        role="status"
        aria-live="off"
      >
        <span data-testid="scale-display">{shownAs(reading)}</span>
        <span className="block text-base">
          {reading.stable ? 'at rest' : draughty ? 'drifting' : 'unstable'}
        </span>
      </p>
      <div className="mt-3 grid grid-cols-2 gap-3">
        <label className="text-sm font-semibold">
          On the pan
          <input
            className="input w-full text-base font-normal"
            value={load}
            placeholder="60 g"
            onChange={(event) => putOn(event.target.value)}
          />
        </label>
        <label className="text-sm font-semibold">
          Shows
          <select
            className="select w-full text-base font-normal"
            value={unit}
            onChange={(event) => {
              const next = SCALE_UNITS.find((each) => each === event.target.value) ?? 'g';
              setUnit(next);
              scale.change((state) => ({ ...state, unit: next }));
            }}
          >
            {SCALE_UNITS.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => scale.change(withZero)}>
          Set to zero
        </button>
        <Tick
          checked={draughty}
          onChange={(on) => {
            setDraughty(on);
            scale.change((state) => ({ ...state, drift: on ? DRAUGHT : 0, crept: on ? state.crept : 0 }));
          }}
          className="text-sm"
        >
          In a draught
        </Tick>
      </div>
      <button
        type="button"
        className="btn btn-outline mt-3 w-full"
        disabled={!reading.stable || reading.mass === 0}
        onClick={() => onRead(reading.mass, reading.resolution)}
      >
        Take this reading ({formatMass(reading.mass)})
      </button>
    </section>
  );
}
