'use client';

import { createContext, useContext, type ReactNode } from 'react';
import type { RingSystem } from '@/core/ring/ringSize';
import type { DayOrder } from '@/core/calendar/day';
import { writeNumbers, type NumberWriting } from '@/core/units/writing';

/** How a studio shows moments, dates and numbers: its house rules. */
export interface House {
  /** An IANA time zone. */
  readonly zone: string;
  readonly numbers: NumberWriting;
  /** What comes first in a date. */
  readonly days: DayOrder;
  /** How a ring size is meant that does not say. */
  readonly rings: RingSystem;
}

const HouseContext = createContext<House>({ zone: 'UTC', numbers: 'point', days: 'day', rings: 'US' });

export const HouseProvider = ({ house, children }: { house: House; children: ReactNode }) => (
  <HouseContext value={house}>{children}</HouseContext>
);

export const useHouse = (): House => useContext(HouseContext);

/** Writes the numbers of a text as the studio does. */
export function useWriting(): (said: string) => string {
  const { numbers } = useHouse();
  return (said) => writeNumbers(said, numbers);
}

/** A text with numbers in it that was worked out, as the studio writes it; what somebody typed is shown as it is. */
export const Said = ({ children }: { children: string }) => useWriting()(children);
