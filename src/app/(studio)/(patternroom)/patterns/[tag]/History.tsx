import { sayTimeFrom } from '@/core/learning/minutes';
import { begunAt, sayDrift } from '@/core/learning/sayDrift';
import { sayMoreThanPlanned } from '@/core/learning/sayMore';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import type { PatternBody } from '@/core/pattern/pattern';
import { formatMass, ug } from '@/core/units/mass';
import type { PatternHistory, RulingsOfPattern, StepTimed } from '@/studio/logbook/patternHistory';
import { Length, Reckoned } from '@/ui/lengths';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { LazyHistoryChart } from './LazyHistoryChart';
import { SetFigures } from './SetFigures';
import { settable } from './settable';

/** How a pattern went each time, and what the studio has learned of it. */
export function History({
  of: { makings, cuts, steps, drift, time, makers, ruled, weight, spoiled },
  number,
  body,
}: {
  of: PatternHistory;
  number: number;
  body: PatternBody;
}) {
  const label = tag('pattern', number);
  const known = makings.some(
    ({ wire, time: took, weight: weighs }) => wire !== null || took !== null || weighs !== null,
  );
  const over = ({ learned, planned }: StepTimed): number => learned.minutes - planned;
  const slowest = steps.reduce<StepTimed | undefined>(
    (most, step) => (over(step) > (most ? over(most) : 0) ? step : most),
    undefined,
  );
  if (makings.length === 0 && !isRuledAtAll(ruled)) return null;
  return (
    <section className="leaf mt-4 p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2>How it went, {counted(makings.length, 'time')}</h2>
        <Link href={`/logbook?pattern=${label}`} className="link">
          In the logbook
        </Link>
      </div>
      {!known && (
        <p className="muted mt-2">
          Nothing was measured yet. Say at the bench what was really cut, what came back and how long it took;
          the next one is planned by it.
        </p>
      )}
      {time && (
        <p className="mt-2">
          It takes {Math.round(time.minutes)} min, ± {Math.round(time.spread)} min
          {ruled?.time.fixed !== null && ruled ? (
            <span className="muted">, as you said.</span>
          ) : (
            <span className="muted">
              , from <Said>{sayTimeFrom(time)}</Said>
              {time.wild.length > 0 && `; ${farOff(time.wild.length)}`}.
            </span>
          )}
        </p>
      )}
      {makers.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-x-6" aria-label="By maker">
          {makers.map(({ name, time: own }) => (
            <li key={name}>
              {name}: {Math.round(own.minutes)} min
              <span className="muted">, from {counted(own.count, 'making')}</span>
            </li>
          ))}
        </ul>
      )}
      {drift && (
        <p className="mt-2">
          Its rings come out {sayDrift(drift.value)}, ± {drift.deviation.toFixed(2)}
          <span className="muted">
            {ruled?.ring && ruled.ring.fixed !== null
              ? ', as you said.'
              : `, from ${counted(drift.count, 'ring')} read on the mandrel${drift.wild.length > 0 ? `; ${farOff(drift.wild.length)}` : ''}.`}
          </span>
          {begunAt(drift.value) !== '' && ` Begin them ${begunAt(drift.value)} than they are wanted.`}
        </p>
      )}
      {slowest && (
        <p className="mt-2">
          What takes longest against its plan: <Said>{slowest.name}</Said>, {figure(slowest.learned.minutes)}{' '}
          min of {figure(slowest.planned)} planned
          <span className="muted">, from {counted(slowest.learned.count, 'making')}.</span>
        </p>
      )}
      {weight && (
        <p className="mt-2">
          It weighs <Said>{formatMass(ug(Math.round(weight.middle)))}</Said> on the scale
          <span className="muted">
            {weight.count > 1 && (
              <Said>{`, between ${formatMass(ug(weight.least))} and ${formatMass(ug(weight.most))}`}</Said>
            )}
            , from {counted(weight.count, 'piece')}.
          </span>
        </p>
      )}
      {spoiled && (
        <p className="mt-2">
          Wire was lost on the way for {spoiled.pieces} of {counted(makings.length, 'piece')}
          <span className="muted">
            , most often: {spoiled.reason}
            {spoiled.times > 1 && `, ${spoiled.times} times`}.
          </span>
        </p>
      )}
      {cuts.length > 0 && (
        <ul className="mt-2 space-y-1" aria-label="What its wires take">
          {cuts.map(({ cutIndex, own, others, more, deviation, length, wild, isRuled }) => (
            <li key={cutIndex}>
              <span className="font-semibold [overflow-wrap:anywhere]">{body.cuts[cutIndex]?.name}</span>:{' '}
              {sayMoreThanPlanned(more)}, ± <Length of={deviation} />; best cut <Reckoned of={length} cut />
              <span className="muted">
                {isRuled ? (
                  ', as you said.'
                ) : (
                  <>
                    , from{' '}
                    <Link href={`/logbook?pattern=${label}&with=measured`} className="link">
                      {others === 0
                        ? counted(own, 'making')
                        : `${own} of yours and ${counted(others, 'other')}`}
                    </Link>
                    {wild > 0 && `; ${farOff(wild)}`}.
                  </>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
      {known && <LazyHistoryChart makings={makings} />}
      {ruled && <SetFigures figures={settable(ruled, number, body)} />}
    </section>
  );
}

/** Makings that lie far from the others: they are kept, and count little. */
const farOff = (count: number): string =>
  `${count === 1 ? 'one of them lies' : `${count} of them lie`} far off and ${count === 1 ? 'counts' : 'count'} little`;

const isRuledAtAll = (ruled: RulingsOfPattern | null): boolean =>
  ruled !== null &&
  [ruled.time, ...(ruled.ring ? [ruled.ring] : []), ...ruled.wires].some(
    ({ since, fixed }) => since !== null || fixed !== null,
  );

const figure = (minutes: number): string => String(Math.round(minutes * 10) / 10);
