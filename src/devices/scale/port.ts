import type { Micrograms } from '@/core/units/mass';

/** The units a workshop scale shows. */
export const SCALE_UNITS = ['g', 'oz t', 'oz'] as const;
export type ScaleUnit = (typeof SCALE_UNITS)[number];

/** What stands on a scale's display. */
export interface ScaleReading {
  readonly mass: Micrograms;
  readonly unit: ScaleUnit;
  /** One division of the display. */
  readonly resolution: Micrograms;
  /** False while the reading still moves. */
  readonly stable: boolean;
}

/** A scale that can be watched. */
export interface Scale {
  /** Calls back with every new reading. @returns what ends it */
  watch(listener: (reading: ScaleReading) => void): () => void;
}
