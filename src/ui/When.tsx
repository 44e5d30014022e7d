'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { dayIn, sayDay, sayMoment } from '@/core/calendar/day';

const ZoneContext = createContext('UTC');

/** Where the studio is: moments are shown as its clock says them. */
export const ZoneProvider = ({ zone, children }: { zone: string; children: ReactNode }) => (
  <ZoneContext value={zone}>{children}</ZoneContext>
);

/** A day, written out so that no country misreads it. @param at a moment, or a day of the calendar */
export function Day({ at }: { at: Date | string }) {
  const zone = useContext(ZoneContext);
  const day = typeof at === 'string' ? at.slice(0, 10) : dayIn(zone, at);
  return (
    <time dateTime={day} className="whitespace-nowrap">
      {sayDay(day)}
    </time>
  );
}

/** A moment: its day and its time. */
export function Moment({ at }: { at: Date }) {
  const zone = useContext(ZoneContext);
  return (
    <time dateTime={at.toISOString()} className="whitespace-nowrap">
      {sayMoment(zone, at)}
    </time>
  );
}
