import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { roundSpan } from '@/core/ruler';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { formatDiameter, um } from '@/core/units/length';
import { adviseFromLog } from '@/studio/logbook/advice';
import { LOG_SORTINGS, MOST_LOGGED, showLogbook, type LogLine } from '@/studio/logbook/logbook';
import { LogQuery } from '@/studio/logbook/logbook.input';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Fold } from '@/ui/Fold';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { ListFilters } from '@/ui/ListFilters';
import { narrowedBy, sortChoice } from '@/ui/listChoices';
import { MorePages } from '@/ui/MorePages';
import { Ruler } from '@/ui/Ruler';
import { SmallPicture } from '@/ui/SmallPicture';
import { Day } from '@/ui/When';
import { pageMember } from '../../lib/member';
import { askedOfList, type Search } from '@/app/lib/search';
import { Advised } from './Advised';
import { LoggedWires } from './LoggedWires';

export const metadata = { title: 'Logbook' };

const WITH = {
  name: 'with',
  label: 'What is logged',
  none: 'Everything made',
  choices: [
    { value: 'measured', text: 'with measured wires' },
    { value: 'spoiled', text: 'with something spoiled' },
  ],
};

export default async function LogbookPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { query, asked, isAsked } = await askedOfList(searchParams, LogQuery);
  const { lines, total, measured, makers, next } = await showLogbook(session, query);
  if (total === 0 && !isAsked) {
    return (
      <EmptyPlace title="Nothing is logged yet" next={{ href: '/bench', text: 'Make the first piece' }}>
        What is made at the bench is written down here: how long each wire was planned and what it really
        took, the time, and what was spoiled. The next one is cut by it.
      </EmptyPlace>
    );
  }
  const advice = session.role === 'owner' && !isAsked ? await adviseFromLog(session) : null;
  const span = roundSpan(
    um(
      Math.max(
        50_000,
        ...lines.flatMap(({ wires }) => wires.map(({ cut, planned }) => Math.max(cut, planned))),
      ),
    ),
  );
  return (
    <>
      <h1>{headline(total, measured, isAsked)}</h1>
      {advice && <Advised advice={advice} />}
      <ListFilters
        label="The logbook"
        action="/logbook"
        placeholder="Words or a number, like F-0012"
        chosen={asked}
        selects={[
          narrowedBy('kind', 'Kind', PATTERN_KINDS),
          {
            name: 'maker',
            label: 'Maker',
            none: 'Made by anybody',
            choices: makers.map(({ userId, name }) => ({ value: userId, text: `Made by ${name}` })),
          },
          WITH,
          sortChoice(Object.keys(LOG_SORTINGS)),
        ]}
      />
      {lines.length === 0 && <p className="leaf mt-4 p-6">Nothing in the logbook is like that.</p>}
      {lines.length > 0 && (
        <div className="leaf runs-on mt-4 p-4">
          <div className="hidden lg:ml-[43rem] lg:block">
            <Ruler span={span} label="Ruler for the wires" />
          </div>
          <ol className="divide-y divide-base-300" aria-label="What was made">
            {lines.map((line) => (
              <li key={line.number} className="grid gap-x-4 gap-y-2 py-3 lg:grid-cols-[18rem_1fr]">
                <Made line={line} />
                <div className="space-y-2">
                  <LoggedWires wires={line.wires} span={span} />
                  <Taken parts={line.parts} />
                  <Bent bends={line.bends} />
                  <TimedSteps steps={line.steps} />
                </div>
              </li>
            ))}
          </ol>
        </div>
      )}
      <MorePages of="of the logbook" action="/logbook" query={query} next={next} more="Earlier pieces" />
    </>
  );
}

/** What the logbook holds, in a sentence. */
function headline(total: number | null, measured: number | null, isAsked: boolean): string {
  const pieces = total === null ? `More than ${MOST_LOGGED} pieces` : counted(total, 'piece');
  const logged = `${pieces} logged${isAsked ? ' under this filter' : ''}`;
  return measured === null ? logged : `${logged}; the wires of ${measured} were measured`;
}

/** What was made, by whom and how long it took. */
function Made({
  line: {
    number,
    name,
    size,
    madeAt,
    maker,
    patternNumber,
    minutes,
    plannedMinutes,
    spoiled,
    note,
    flaw,
    photo,
  },
}: {
  line: LogLine;
}) {
  return (
    <div className="grid grid-cols-[5rem_1fr] gap-x-3">
      {photo === null ? (
        <SmallPicture of="piece" number={number} name={name} className="h-16 w-20" />
      ) : (
        <img
          src={`/photos/${photo}`}
          alt={`“${name}”, photographed`}
          loading="lazy"
          className="h-16 w-20 rounded object-cover"
        />
      )}
      <div>
        <p className="font-semibold [overflow-wrap:anywhere]">
          <Link href={`/shelf/${tag('piece', number)}`} className="link">
            {name}
          </Link>
          {size !== '' && <span className="muted font-normal">, {size}</span>}
        </p>
        <p className="muted text-sm">
          {tag('piece', number)} · <Day at={madeAt} /> · {maker} ·{' '}
          <Link href={`/patterns/${tag('pattern', patternNumber)}`} className="link whitespace-nowrap">
            {tag('pattern', patternNumber)}
          </Link>
        </p>
        {minutes !== null && (
          <p className="text-sm">
            {Math.round(minutes)} min
            {plannedMinutes !== null && (
              <span className="muted">, planned {Math.round(plannedMinutes)} min</span>
            )}
          </p>
        )}
        {spoiled !== null && <p className="text-sm">Spoiled: {spoiled}</p>}
        {flaw !== '' && <p className="text-sm">Sold as it is: {flaw}</p>}
        {note !== '' && <p className="text-sm [overflow-wrap:anywhere]">“{note}”</p>}
      </div>
    </div>
  );
}

/** Beads, stones and findings that a piece took out of the drawers. */
function Taken({ parts }: { parts: LogLine['parts'] }) {
  if (parts.length === 0) return null;
  return (
    <p className="text-sm">
      Out of the drawers:{' '}
      {parts
        .map(({ name, count, lost }) => `${count} × ${name}${lost === '' ? '' : `, lost: ${lost}`}`)
        .join('; ')}
    </p>
  );
}

/** What its turns came to that were measured when they were bent. */
function Bent({ bends }: { bends: LogLine['bends'] }) {
  if (bends.length === 0) return null;
  return (
    <p className="text-sm">
      Bent:{' '}
      <Said>
        {bends
          .map(
            ({ name, on, came }) => `${name} on ${formatDiameter(on)}, ${formatDiameter(came)} when let go`,
          )
          .join('; ')}
      </Said>
    </p>
  );
}

/** Its steps against their plan, when somebody wants to know. */
function TimedSteps({ steps }: { steps: LogLine['steps'] }) {
  if (steps.length === 0) return null;
  return (
    <div className="no-print">
      <Fold title={`${counted(steps.length, 'step was', 'steps were')} timed`}>
        <ul className="text-sm">
          {steps.map(({ name, planned, minutes }, index) => (
            <li key={index}>
              <Said>{name}</Said>: {minuteFigure(minutes)} min
              <span className="muted">{planned > 0 && `, planned ${minuteFigure(planned)}`}</span>
            </li>
          ))}
        </ul>
      </Fold>
    </div>
  );
}

const minuteFigure = (minutes: number): string => String(Math.round(minutes * 10) / 10);
