import { format } from 'date-fns';

/** A day, written out so that no country misreads it. */
export function Day({ at }: { at: Date | string }) {
  const date = typeof at === 'string' ? new Date(`${at.slice(0, 10)}T00:00:00`) : at;
  return (
    <time dateTime={format(date, 'yyyy-MM-dd')} className="whitespace-nowrap">
      {format(date, 'd MMM yyyy')}
    </time>
  );
}

/** A moment: its day and its time. */
export function Moment({ at }: { at: Date }) {
  return (
    <time dateTime={at.toISOString()} className="whitespace-nowrap">
      {format(at, 'd MMM yyyy, HH:mm')}
    </time>
  );
}
