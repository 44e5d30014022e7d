import { sayDay } from '@/core/calendar/day';
import { Day } from '@/ui/When';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { groupBy } from '@/core/groupBy';
import { pathOf, tag } from '@/core/tag';
import type { ScheduledDay } from '@/core/schedule/schedule';
import { showSchedule, type ScheduledBatch, type ScheduleView } from '@/studio/schedule/benchHours';
import { HoursQuery } from '@/studio/batches/batches.input';
import { MorePages } from '@/ui/MorePages';
import { asked, type Search } from '@/app/lib/search';
import { pageMember } from '../../../lib/member';
import { hours } from '../due';
import { HoursForm } from './HoursForm';

export const metadata = { title: 'Bench hours' };

/** Batches that are listed at once. */
const PAGE = 20;

export default async function HoursPage({ searchParams }: { searchParams: Search }) {
  const { session, days } = await pageMember();
  const { after } = await asked(searchParams, HoursQuery);
  const from = after ?? 0;
  const schedule = await showSchedule(session, { from, most: PAGE });
  const { version, weekly, daysOff } = schedule.hours;
  const isOwner = session.role === 'owner';
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>{headline(schedule)}</h1>
        <a href="/batches/hours/bench.ics" className="btn btn-lg no-print">
          For your calendar (iCalendar)
        </a>
      </div>
      <div className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Calendar schedule={schedule} />
        <div className="space-y-4">
          <Batches batches={schedule.batches} names={namesOf(schedule)} from={from} />
          {isOwner && (
            <HoursForm
              key={version}
              defaultValues={{
                version: String(version),
                weekly: weekly.map((minutes) => String(Number((minutes / 60).toFixed(2)))),
                daysOff: daysOff.map((day) => sayDay(day, days)).join('\n'),
              }}
            />
          )}
        </div>
      </div>
    </>
  );
}

const namesOf = ({ batches }: ScheduleView): ReadonlyMap<number, string> =>
  new Map(batches.map(({ number, name }) => [number, name]));

function headline({ batches }: ScheduleView): string {
  const late = batches.filter((batch) => batch.late > 0);
  if (batches.length === 0) return 'Nothing is waiting for the bench';
  if (late.length === 0)
    return `${batches.length === 1 ? 'The batch' : `All ${batches.length} batches`} will be ready in time`;
  const missing = late.reduce((sum, batch) => sum + batch.late, 0);
  return `${late.length} of ${batches.length} ${batches.length === 1 ? 'batch' : 'batches'} will be late, by ${hours(missing)} of work`;
}

/** Every batch: when it will be ready, and what would bring a late one in time. */
function Batches({
  batches,
  names,
  from,
}: {
  batches: readonly ScheduledBatch[];
  names: ReadonlyMap<number, string>;
  /** How many are passed over. */
  from: number;
}) {
  if (batches.length === 0) return null;
  return (
    <section className="leaf p-4">
      <h2>Ready when?</h2>
      <ul className="mt-2 divide-y divide-base-300" aria-label="Ready when">
        {batches
          .slice(from, from + PAGE)
          .map(({ number, name, dueOn, readyOn, late, minutes, remedy, lineNames, chance, learned }) => (
            <li key={number} className="py-2">
              <p className="flex flex-wrap items-baseline justify-between gap-x-3">
                <Link href={pathOf('batch', number)} className="link font-semibold">
                  {name}
                </Link>
                <span className="muted text-sm">{hours(minutes)}</span>
              </p>
              <p className="text-sm">
                {readyOn === null ? (
                  'Not within a year'
                ) : (
                  <>
                    Ready on <Day at={readyOn} />
                  </>
                )}
                {dueOn !== null && (
                  <>
                    , due on <Day at={dueOn} />
                  </>
                )}
              </p>
              {chance !== null && <p className="text-sm">{chanceSaid(chance)}</p>}
              {learned.map((line) => (
                <p key={line.name} className="muted text-sm">
                  “{line.name}”:{' '}
                  <Said>
                    {`${Math.round(line.minutes)} min each by ${line.from}, ${Math.round(line.planned)} planned`}
                  </Said>
                </p>
              ))}
              {late > 0 && remedy && (
                <div className="mt-1 border-l-4 border-error bg-error/10 p-2 text-sm">
                  <strong>{hours(late)} of it will be left on the day it is due.</strong> In time it would be
                  with
                  <ul className="list-inside list-disc">
                    {remedy.moreEachDay !== null && (
                      <li>{hours(remedy.moreEachDay)} more on each working day until then</li>
                    )}
                    {remedy.fewer && (
                      <li>
                        {remedy.fewer.pieces} fewer of “{lineNames[remedy.fewer.line]}”
                      </li>
                    )}
                    {remedy.after.map((other) => (
                      <li key={other}>“{names.get(other)}” after it, or dropped</li>
                    ))}
                    {remedy.moreEachDay === null && !remedy.fewer && remedy.after.length === 0 && (
                      <li>nothing but another day</li>
                    )}
                  </ul>
                </div>
              )}
            </li>
          ))}
      </ul>
      <MorePages
        of="batches"
        action="/batches/hours"
        query={from > 0 ? { after: String(from) } : {}}
        next={from + PAGE < batches.length ? String(from + PAGE) : null}
        more="Batches that are due later"
      />
    </section>
  );
}

/** How likely it is, as somebody would say it. */
function chanceSaid(chance: number): string {
  const inTen = Math.round(chance * 10);
  const said =
    inTen === 0
      ? 'hardly ever ready in time'
      : inTen === 10
        ? 'ready in time, almost surely'
        : `ready in time ${inTen} times of 10`;
  return `By what pieces took so far: ${said}`;
}

/** Days that are drawn; the list of batches tells what lies beyond. */
const DRAWN = 28;

/** Each day with its work, to one scale of hours; a day that is free is drawn empty. */
function Calendar({ schedule: { days, batches } }: { schedule: ScheduleView }) {
  const shown = days.slice(0, DRAWN);
  const due = groupBy(batches, ({ dueOn }) => dueOn);
  const most = Math.max(60, ...shown.map(({ minutes }) => minutes));
  return (
    <section className="leaf p-4" aria-label="Calendar">
      <h2>Day by day</h2>
      <ol className="mt-2">
        {shown.map((day) => (
          <li key={day.day} className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-3 py-0.5">
            <span className={`text-sm whitespace-nowrap ${day.minutes === 0 ? 'muted' : ''}`}>
              <Day at={day.day} weekday />
            </span>
            <div>
              <DayBar day={day} most={most} />
              <p className="text-sm">
                {day.work.map(({ number, minutes }, index) => (
                  <span key={number}>
                    {index > 0 && ', '}
                    {tag('batch', number)} {hours(minutes)}
                  </span>
                ))}
                {due.get(day.day)?.map(({ number, name }) => (
                  <strong key={number} className="ml-2">
                    {name} is due
                  </strong>
                ))}
              </p>
            </div>
          </li>
        ))}
      </ol>
      {days.length > DRAWN && <p className="muted mt-2">And {days.length - DRAWN} days more.</p>}
    </section>
  );
}

/** The hours of a day, and how much of them each batch takes. */
function DayBar({ day: { minutes, work }, most }: { day: ScheduledDay; most: number }) {
  const part = (of: number) => `${(of / most) * 100}%`;
  const starts = work.map((_, index) => work.slice(0, index).reduce((sum, each) => sum + each.minutes, 0));
  return (
    <svg width="100%" height="14" aria-hidden="true" className="block text-base-content">
      <rect
        x="0"
        y="1"
        width={part(minutes)}
        height="12"
        fill="none"
        stroke="currentColor"
        strokeOpacity="0.35"
      />
      {work.map(({ number, minutes: taken }, index) => (
        <rect
          key={number}
          x={part(starts[index] ?? 0)}
          y="1"
          width={part(taken)}
          height="12"
          fill="currentColor"
          fillOpacity={index % 2 === 0 ? 0.55 : 0.3}
        />
      ))}
    </svg>
  );
}
