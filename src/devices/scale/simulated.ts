import { ug, type Micrograms } from '@/core/units/mass';
import type { Scale, ScaleReading, ScaleUnit } from './port';

/** Smallest division of the simulated scale in each unit, µg: 0.01 g, 0.0005 oz t, 0.0005 oz. */
export const DIVISION: Readonly<Record<ScaleUnit, number>> = {
  g: 10_000,
  'oz t': 15_551.7384,
  oz: 14_174.7615625,
};

/** The state of the simulated scale. */
export interface ScaleState {
  /** What lies on it. */
  readonly load: Micrograms;
  /** What it showed when it was set to nought. */
  readonly zero: Micrograms;
  readonly unit: ScaleUnit;
  /** How far the reading has crept away, µg. */
  readonly crept: number;
  /** Creep for each tick, µg: a cold or draughty scale. */
  readonly drift: number;
  /** Ticks until the pan is still. */
  readonly restless: number;
}

export const RESTING: ScaleState = { load: ug(0), zero: ug(0), unit: 'g', crept: 0, drift: 0, restless: 0 };

/** Ticks that the pan swings after something was put on it or taken off. */
const SWING = 6;

/** Puts a load on the pan: it swings for a moment. */
export const withLoad = (state: ScaleState, load: Micrograms): ScaleState =>
  load === state.load ? state : { ...state, load, restless: SWING };

/** Sets the display to nought with what lies on it. */
export const withZero = (state: ScaleState): ScaleState => ({ ...state, zero: state.load, crept: 0 });

/** A moment later: the swing dies down, the drift goes on. */
export const ticked = (state: ScaleState): ScaleState => ({
  ...state,
  crept: state.crept + state.drift,
  restless: Math.max(0, state.restless - 1),
});

/** What the display shows: rounded to a division, swinging while the pan is restless, never stable while it drifts. */
export function readingOf({ load, zero, unit, crept, drift, restless }: ScaleState): ScaleReading {
  const division = DIVISION[unit];
  const swing =
    restless === 0 ? 0 : (restless % 2 === 0 ? 1 : -1) * restless * 0.01 * Math.max(load, division * 20);
  const shown = Math.max(0, load - zero + crept + swing);
  return {
    mass: ug(Math.round(Math.round(shown / division) * division)),
    unit,
    resolution: ug(Math.round(division)),
    stable: restless === 0 && Math.abs(drift) < division / 10,
  };
}

/** The scale that ships: it is loaded in its panel instead of by hand. */
export class SimulatedScale implements Scale {
  #state = RESTING;
  readonly #listeners = new Set<(reading: ScaleReading) => void>();

  get state(): ScaleState {
    return this.#state;
  }

  /** Changes what lies on it or how it is set, and shows that. */
  change(next: (state: ScaleState) => ScaleState): void {
    this.#state = next(this.#state);
    const reading = readingOf(this.#state);
    for (const listener of this.#listeners) listener(reading);
  }

  watch(listener: (reading: ScaleReading) => void): () => void {
    this.#listeners.add(listener);
    listener(readingOf(this.#state));
    return () => this.#listeners.delete(listener);
  }
}
