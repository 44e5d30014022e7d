import { pageOwner } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { day, sayDay, sayMonth, type DayOrder } from '@/core/calendar/day';
import { earnedBy, FEW, losing, makeMoreOf, type EarnedLine } from '@/core/selling/earned';
import { counted } from '@/core/units/counted';
import { minor, toMinor } from '@/core/units/money';
import { showEarned, type EarnedView } from '@/studio/selling/earned';
import { EARNED_BY, EarnedQuery, type EarnedBy } from '@/studio/selling/earned.input';
import { readSettings } from '@/studio/settings/settings';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { PrintButton } from '@/ui/PrintButton';
import { EarnedStacks } from './EarnedStacks';
import { Tried } from './Tried';

export const metadata = { title: 'What it earned' };

const BY_SAID: Readonly<Record<EarnedBy, string>> = {
  month: 'Month',
  channel: 'Channel',
  fair: 'Fair',
  pattern: 'Pattern',
  kind: 'Kind',
  metal: 'Metal',
};

/** So many bars are seen at once; the table has all. */
const MOST_BARS = 14;

/** What pieces that were sold really earned. */
export default async function EarnedPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const query = await asked(searchParams, EarnedQuery);
  const [view, { days }] = [await showEarned(session, query), await readSettings(session)];
  const { all, from, to, by, lines } = view;
  if (!all && query.from === undefined && query.to === undefined)
    return (
      <EmptyPlace title="Nothing was sold in the last year" next={{ href: '/selling', text: 'Sell a piece' }}>
        What pieces really earned is told here once they are sold: after fees, wire, stones and the hours they
        took.
      </EmptyPlace>
    );
  const told = all && earnedBy(all);
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {told && all ? (
            <>
              {counted(all.pieces, 'piece')} earned <Money of={told.forHours} />
              {told.anHour !== null && (
                <>
                  : <Money of={told.anHour} /> an hour
                </>
              )}
            </>
          ) : (
            'Nothing was sold then'
          )}
        </h1>
        <PrintButton />
      </div>
      <p className="muted">
        {sayDay(from, days)} to {sayDay(to, days)}: what was paid without tax, less fees and sending, what
        standing there cost, wire and parts, and overhead.
      </p>
      <form
        action="/earned"
        className="no-print mt-3 flex flex-wrap items-end gap-2"
        role="search"
        aria-label="When"
      >
        <input type="hidden" name="by" value={by} />
        <DayField name="from" label="From" value={from} />
        <DayField name="to" label="To" value={to} />
        <button type="submit" className="btn">
          Show
        </button>
      </form>
      <Answers view={view} days={days} />
      <Tried view={view} />
      <nav aria-label="By" className="no-print mt-4 flex flex-wrap gap-1">
        {EARNED_BY.map((each) => (
          <Link
            key={each}
            href={`/earned?by=${each}&from=${from}&to=${to}`}
            aria-current={each === by ? 'true' : undefined}
            className={`btn ${each === by ? 'btn-neutral' : 'btn-ghost'}`}
          >
            {BY_SAID[each]}
          </Link>
        ))}
      </nav>
      {lines.length > 0 && (
        <section className="leaf mt-3 p-4" aria-label={`By ${by}`}>
          <EarnedStacks stacks={barsOf(lines, by, days)} />
          <EarnedTable
            lines={by === 'month' || by === 'fair' ? lines.toReversed() : ranked(lines)}
            by={by}
            days={days}
          />
        </section>
      )}
    </>
  );
}

function DayField({ name, label, value }: { name: string; label: string; value: string }) {
  return (
    <label className="block">
      <span className="text-sm font-semibold">{label}</span>
      <input type="date" name={name} defaultValue={value} className="input block w-44 text-base" />
    </label>
  );
}

const ranked = (lines: readonly EarnedLine[]): readonly EarnedLine[] =>
  lines.toSorted((one, other) => earnedBy(other).forHours - earnedBy(one).forHours);

/** What a line is called where it is read. */
function nameOf(line: EarnedLine, by: EarnedBy, days: DayOrder): string {
  const { name } = line;
  if (by === 'month') return sayMonth(name);
  if (by === 'fair') return `${name.slice(11)}, ${sayDay(day(name.slice(0, 10)), days)}`;
  return by === 'pattern' ? patternOf(line)[1] : name;
}

function barsOf(lines: readonly EarnedLine[], by: EarnedBy, days: DayOrder) {
  const shown = by === 'month' || by === 'fair' ? lines.slice(-MOST_BARS) : ranked(lines).slice(0, MOST_BARS);
  return shown.map((line) => ({
    id: line.name,
    name: nameOf(line, by, days),
    parts: {
      materials: toMinor(line.materials),
      overhead: toMinor(line.overhead),
      labour: toMinor(line.labour),
      fees: line.fees + line.sending + toMinor(line.standing),
      profit: earnedBy(line).profit,
    },
  }));
}

/** The questions that are asked every month, each answered in a sentence. */
function Answers({ view: { months, patterns, fairs, to, all }, days }: { view: EarnedView; days: DayOrder }) {
  const now = months.find(({ name }) => name === to.slice(0, 7));
  const fair = fairs.at(-1);
  const dear = losing(patterns).slice(0, 3);
  const more = makeMoreOf(patterns).slice(0, 3);
  const average = all && earnedBy(all).anHour;
  return (
    <section className="leaf mt-3 space-y-2 p-4" aria-label="Answers">
      <p>
        <strong>What did I earn this month?</strong> {now ? <Sentence of={now} /> : 'Nothing was sold in it.'}
      </p>
      {fair && (
        <p>
          <strong>Was the last fair worth it?</strong> {nameOf(fair, 'fair', days)}: <Sentence of={fair} />
          {average !== null && (
            <>
              {' '}
              All that you sold earned <Money of={average} /> an hour.
            </>
          )}
        </p>
      )}
      <p>
        <strong>Which patterns do not pay their hours?</strong>{' '}
        {dear.length === 0
          ? 'None that was sold.'
          : dear.map((line, index) => (
              <span key={line.name}>
                {index > 0 && '; '}
                <OfPattern line={line} />,{' '}
                <Money of={minor(Math.round(earnedBy(line).profit / line.pieces))} /> each
                <FewSold line={line} />
              </span>
            ))}
        {dear.length > 0 && '.'}
      </p>
      <p>
        <strong>What should I make more of?</strong>{' '}
        {more.length === 0
          ? 'Nothing stands out yet.'
          : more.map((line, index) => (
              <span key={line.name}>
                {index > 0 && '; '}
                <OfPattern line={line} />: <Money of={earnedBy(line).anHour ?? minor(0)} /> an hour, sold
                after {counted(Math.round(earnedBy(line).daysEach ?? 0), 'day')}
                <FewSold line={line} />
              </span>
            ))}
        {more.length > 0 && '.'}
      </p>
    </section>
  );
}

function Sentence({ of }: { of: EarnedLine }) {
  const { left, forHours, anHour } = earnedBy(of);
  return (
    <>
      {counted(of.pieces, 'piece')} left <Money of={left} /> after fees, and <Money of={forHours} /> after
      materials, overhead{of.standing > 0 && ' and what standing there cost'}
      {anHour !== null && (
        <>
          : <Money of={anHour} /> for each of {Math.round(of.minutes / 6) / 10} hours
        </>
      )}
      .
    </>
  );
}

/** The tag of a pattern, and what it is called. */
const patternOf = ({ name }: EarnedLine): readonly [tag: string, name: string] => {
  const at = name.indexOf(' ');
  return [name.slice(0, at), name.slice(at + 1)];
};

function OfPattern({ line }: { line: EarnedLine }) {
  const [tag, name] = patternOf(line);
  return (
    <Link href={`/patterns/${tag}`} className="link">
      {name}
    </Link>
  );
}

/** Of few sales little is known, and that is said. */
function FewSold({ line: { pieces } }: { line: EarnedLine }) {
  return pieces < FEW ? (
    <span className="muted"> (from {pieces === 1 ? 'one' : pieces} sold, so little is known)</span>
  ) : null;
}

const HEADS = [
  ...['Sold', 'Taken', 'Fees, sending', 'Standing there', 'Materials', 'To buy again', 'Overhead'],
  ...['For the hours', 'An hour', 'Profit', 'Days'],
];

function EarnedTable({ lines, by, days }: { lines: readonly EarnedLine[]; by: EarnedBy; days: DayOrder }) {
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="table">
        <thead>
          <tr>
            <th scope="col">{BY_SAID[by]}</th>
            {HEADS.map((head) => (
              <th key={head} scope="col" className="text-right">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => {
            const { forHours, anHour, profit, daysEach } = earnedBy(line);
            return (
              <tr key={line.name}>
                <th scope="row" className="font-semibold [overflow-wrap:anywhere]">
                  {by === 'pattern' ? <OfPattern line={line} /> : nameOf(line, by, days)}
                </th>
                <td className="text-right">{line.pieces}</td>
                <td className="text-right">
                  <Money of={line.takings} />
                </td>
                <td className="text-right">
                  <Money of={minor(line.fees + line.sending)} />
                </td>
                <td className="text-right">
                  <Money of={toMinor(line.standing)} />
                </td>
                <td className="text-right">
                  <Money of={toMinor(line.materials)} />
                </td>
                <td className="muted text-right">
                  <Money of={toMinor(line.replaced)} />
                </td>
                <td className="text-right">
                  <Money of={toMinor(line.overhead)} />
                </td>
                <td className="text-right font-semibold">
                  <Money of={forHours} />
                </td>
                <td className="text-right">{anHour === null ? '–' : <Money of={anHour} />}</td>
                <td className={`text-right ${profit < 0 ? 'font-semibold text-error' : ''}`}>
                  <Money of={profit} />
                </td>
                <td className="text-right">{daysEach === null ? '–' : Math.round(daysEach)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
