import { daysLater } from '@/core/calendar/day';
import { Link } from '@/ui/Link';
import { Suspense } from 'react';
import { type StoppedBy } from '@/core/batch/makeable';
import { AIMS, type Aim } from '@/core/batch/makeableProblem';
import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import type { Problem } from '@/studio/kernel/outcome';
import { todayOf, type StudioSession } from '@/studio/kernel/useCase';
import { whatCouldIMake, type MakeableAnswer } from '@/studio/makeable/whatCouldIMake';
import { MakeableQuery } from '@/studio/makeable/whatCouldIMake.input';
import { Money } from '@/ui/money';
import { pageMember } from '../../../lib/member';
import { asked, type Search } from '@/app/lib/search';
import { hours } from '../due';
import { Said } from '@/ui/house';

export const metadata = { title: 'What could I make?' };

type Asked = Record<keyof MakeableQuery, string>;

const AIM_WORDS: Readonly<Record<Aim, string>> = {
  margin: 'what leaves most money',
  pieces: 'the most pieces',
  'off-cuts': 'what uses up the oldest off-cuts',
};

/** Days ahead that are asked about at first. */
const USUAL_DAYS = 10;

export default async function MakeablePage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const isOwner = session.role === 'owner';
  const question: Asked = {
    until: daysLater(todayOf(session), USUAL_DAYS),
    aim: isOwner ? 'margin' : 'pieces',
    kind: 'any',
    most: '6',
    ...(await asked(searchParams, MakeableQuery)),
  };
  return (
    <Suspense key={JSON.stringify(question)} fallback={<Choosing asked={question} isOwner={isOwner} />}>
      <Answered session={session} asked={question} isOwner={isOwner} />
    </Suspense>
  );
}

/** The page while the pieces are chosen. */
function Choosing({ asked, isOwner }: { asked: Asked; isOwner: boolean }) {
  return (
    <>
      <h1>What could I make?</h1>
      <AskForm asked={asked} isOwner={isOwner} problem={undefined} />
      <p role="status" className="mt-4 flex items-center gap-3">
        <span className="loading loading-dots" aria-hidden="true" /> Looking at every pattern, what is free
        and the hours
      </p>
    </>
  );
}

async function Answered({
  session,
  asked,
  isOwner,
}: {
  session: StudioSession;
  asked: Asked;
  isOwner: boolean;
}) {
  const outcome = await whatCouldIMake(session, asked);
  return (
    <>
      <h1>{outcome.ok ? headline(outcome.value, asked.until) : 'What could I make?'}</h1>
      <AskForm asked={asked} isOwner={isOwner} problem={outcome.ok ? undefined : outcome.problem} />
      {outcome.ok && <Answer answer={outcome.value} asked={asked} />}
    </>
  );
}

function headline({ lines, minutes, margin }: MakeableAnswer, until: string) {
  const pieces = lines.reduce((sum, { count }) => sum + count, 0);
  if (pieces === 0) return `Nothing could be made until ${until}`;
  return (
    <>
      {pieces} {pieces === 1 ? 'piece' : 'pieces'} until {until}, in {hours(minutes)}
      {margin !== null && (
        <>
          : <Money of={margin} /> left for the hours
        </>
      )}
    </>
  );
}

function AskForm({
  asked,
  isOwner,
  problem,
}: {
  asked: Asked;
  isOwner: boolean;
  problem: Problem | undefined;
}) {
  const wrong = problem?.fields ?? {};
  const field = 'min-w-0 text-sm font-semibold';
  const box = 'w-full text-base font-normal';
  return (
    <form action="/batches/makeable" aria-label="What could I make?" className="leaf no-print mt-4 p-4">
      <div className="grid items-start gap-3 sm:grid-cols-2 lg:grid-cols-[10rem_minmax(0,3fr)_minmax(0,2fr)_9rem_auto]">
        <label className={field}>
          Until
          <input type="date" name="until" defaultValue={asked.until} className={`input ${box}`} />
          <Wrong said={wrong['until']} />
        </label>
        <label className={field}>
          Choose
          <select name="aim" defaultValue={asked.aim} className={`select ${box}`}>
            {AIMS.filter((aim) => isOwner || aim !== 'margin').map((aim) => (
              <option key={aim} value={aim}>
                {AIM_WORDS[aim]}
              </option>
            ))}
          </select>
          <Wrong said={wrong['aim']} />
        </label>
        <label className={field}>
          Of kind
          <select name="kind" defaultValue={asked.kind} className={`select ${box}`}>
            {['any', ...PATTERN_KINDS].map((kind) => (
              <option key={kind} value={kind}>
                {kind}
              </option>
            ))}
          </select>
          <Wrong said={wrong['kind']} />
        </label>
        <label className={field}>
          Most of each
          <input name="most" inputMode="numeric" defaultValue={asked.most} className={`input ${box}`} />
          <Wrong said={wrong['most']} />
        </label>
        <div className="pt-5">
          <button type="submit" className="btn">
            Work it out
          </button>
        </div>
      </div>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          <Said>{problem.message}</Said>
        </p>
      )}
    </form>
  );
}

const Wrong = ({ said }: { said: string | undefined }) =>
  said === undefined ? null : (
    <span className="mt-1 block text-sm font-semibold text-error">
      <Said>{said}</Said>
    </span>
  );

/** What keeps more from being made. */
const STOPPED: Readonly<Record<StoppedBy, string>> = {
  hours: 'There is wire for more, but no hours.',
  stock: 'There are hours for more, but nothing free to make it of.',
  'off-cuts': 'Nothing more of what could be made would use up old off-cuts.',
  'most of each': 'There is stock and time for more, but not more than that of each.',
  'nothing pays': 'No pattern leaves anything at its price.',
};

/** How sure it is that there is no better choice. */
function proofOf(gap: number): string {
  if (gap < 0.0005) return 'no other choice reaches more.';
  if (gap < 0.5) return `no other choice reaches ${(gap * 100).toFixed(1)} % more.`;
  return 'a better choice is not ruled out.';
}

function Answer({ answer, asked }: { answer: MakeableAnswer; asked: Asked }) {
  const { lines, freeMinutes, stoppedBy, gap, offCuts, looked } = answer;
  const pieces = lines.map(({ pattern, count }) => `${pattern}x${count}`).join('.');
  const most = Math.max(1, ...lines.map(({ count, minutesEach }) => count * minutesEach));
  return (
    <section className="leaf mt-4 p-4">
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <p>
            {STOPPED[stoppedBy]} {hours(freeMinutes)} are free until then beside the batches that are planned.
          </p>
          <p className="muted mt-1 text-sm">
            Chosen from {looked} {looked === 1 ? 'pattern' : 'patterns'}; {proofOf(gap)}{' '}
            {offCuts.count > 0 &&
              `It cuts from ${offCuts.count} off-cut${offCuts.count === 1 ? '' : 's'}, the oldest ${offCuts.oldestDays} days old.`}
          </p>
        </div>
        {lines.length > 0 && (
          <Link
            href={`/batches/new?due=${asked.until}&pieces=${pieces}`}
            className="btn btn-primary btn-lg no-print"
          >
            Plan it as a batch
          </Link>
        )}
      </div>
      <ul className="mt-3 divide-y divide-base-300" aria-label="What could be made">
        {lines.map(({ pattern, name, count, minutesEach, price, marginEach, isReckoned, uncounted }) => (
          <li
            key={pattern}
            className="grid items-center gap-x-4 gap-y-1 py-2 sm:grid-cols-[minmax(0,4fr)_minmax(0,4fr)_minmax(0,5fr)]"
          >
            <span className="[overflow-wrap:anywhere]">
              <span className="font-semibold">{count} ×</span>{' '}
              <Link href={`/patterns/${tag('pattern', pattern)}`} className="link">
                {name}
              </Link>
              {uncounted.length > 0 && (
                <span className="muted block text-sm">not counted: {uncounted.join(', ')}</span>
              )}
            </span>
            <span className="flex items-center gap-2">
              <svg width="60%" height="12" aria-hidden="true" className="shrink-0">
                <rect
                  width={`${((count * minutesEach) / most) * 100}%`}
                  height="12"
                  rx="2"
                  fill="currentColor"
                  fillOpacity="0.4"
                />
              </svg>
              <span className="text-sm whitespace-nowrap">{hours(count * minutesEach)}</span>
            </span>
            {price !== null && marginEach !== null && (
              <span className="text-sm sm:text-right">
                sells for <Money of={price} />
                {isReckoned && <span className="muted"> (reckoned)</span>}, leaves <Money of={marginEach} />{' '}
                in {hours(minutesEach)}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
