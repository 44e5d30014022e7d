'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { asToday, whatIf, type Effect, type StepShares, type Supposed } from '@/core/selling/whatIf';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { minor } from '@/core/units/money';
import { BASIS } from '@/core/units/percent';
import { METALS } from '@/core/wire/metal';
import type { KeptScenario, PricesNow } from '@/studio/selling/pricesNow';
import { ScenarioInput } from '@/studio/selling/pricesNow.input';
import { typedMoney } from '@/app/lib/basket/BasketFields';
import { useCurrency } from '@/ui/currency';
import { ActForm } from '@/ui/form/ActForm';
import { TextField } from '@/ui/form/fields';
import { Link } from '@/ui/Link';
import { Money, MoneyAbout } from '@/ui/money';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { dropScenarioAction, keepScenarioAction } from './actions';

/** So many of those that fall under cost are named. */
const NAMED = 12;
/** Parts go from half to twice what is so today, a hundredth at a time. */
const [LEAST, MOST, STEP] = [5000, 20_000, 100];

/** What would be if metal, stones, minutes, prices, fees or rates were otherwise. */
export function WhatIf({ prices, scenarios }: { prices: PricesNow; scenarios: readonly KeptScenario[] }) {
  const { today, shelf, sold, months, patterns, shares } = prices;
  const now = useMemo(() => asToday(today), [today]);
  const [supposed, setSupposed] = useState<Supposed>(now);
  const looked = useMemo(
    () => ({ shelf, sold, months, patterns, shares }),
    [shelf, sold, months, patterns, shares],
  );
  const before = useMemo(() => whatIf(looked, now, today), [looked, now, today]);
  // The slider follows the hand; what it comes to follows the slider.
  const settled = useDeferredValue(supposed);
  const after = useMemo(() => whatIf(looked, settled, today), [looked, settled, today]);
  const metals = METALS.filter(({ id }) => [...shelf, ...sold].some(({ wire }) => (wire[id] ?? 0) > 0));
  const change = (given: Partial<Supposed>) => setSupposed((last) => ({ ...last, ...given }));
  return (
    <section className="mt-6" aria-label="What if">
      <h2>What if</h2>
      <div className="mt-2 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
        <div className="leaf no-print space-y-2 p-4">
          {metals.map(({ id, name }) => (
            <PartSlider
              key={id}
              label={`Price of ${name}`}
              value={supposed.metals[id]}
              onChange={(part) => change({ metals: { ...supposed.metals, [id]: part } })}
            />
          ))}
          <PartSlider
            label="Beads and stones"
            value={supposed.stones}
            onChange={(stones) => change({ stones })}
          />
          <PartSlider
            label="Minutes of a piece"
            value={supposed.minutes}
            onChange={(minutes) => change({ minutes })}
          />
          <OneStep shares={shares} step={supposed.step ?? null} onChange={(step) => change({ step })} />
          <PartSlider
            label="Your prices"
            value={supposed.prices}
            onChange={(all) => change({ prices: all })}
          />
          <RateSlider
            label="Hourly rate"
            value={supposed.hourlyRate}
            today={now.hourlyRate}
            onChange={(hourlyRate) => change({ hourlyRate: minor(hourlyRate) })}
          />
          <RateSlider
            label="Overhead an hour"
            value={supposed.overheadPerHour}
            today={now.overheadPerHour}
            onChange={(overhead) => change({ overheadPerHour: minor(overhead) })}
          />
          <Slider
            label="Fees"
            said={`${supposed.feePercent / 100} %`}
            range={[0, 6000, 50]}
            value={supposed.feePercent}
            onChange={(feePercent) => change({ feePercent })}
          />
          <button type="button" className="btn min-h-11" onClick={() => setSupposed(now)}>
            As it is today
          </button>
        </div>
        <div>
          <WhatComesOfIt prices={prices} before={before} after={after} />
          <KeepIt supposed={supposed} key={scenarios.length} />
          {scenarios.length > 0 && (
            <Kept
              scenarios={scenarios}
              effectOf={(each) => whatIf(looked, each, today)}
              before={before}
              onLook={setSupposed}
            />
          )}
        </div>
      </div>
    </section>
  );
}

/** Steps that are chosen from: those of most patterns first. */
const MOST_STEPS = 80;

/** One step of the work is faster, or slower, in every pattern that has it. */
function OneStep({
  shares,
  step,
  onChange,
}: {
  shares: StepShares;
  step: NonNullable<Supposed['step']> | null;
  onChange: (step: NonNullable<Supposed['step']> | null) => void;
}) {
  const names = useMemo(() => {
    const counts = new Map<string, number>();
    for (const each of Object.values(shares))
      for (const name of Object.keys(each)) counts.set(name, (counts.get(name) ?? 0) + 1);
    return [...counts]
      .toSorted((one, other) => other[1] - one[1] || one[0].localeCompare(other[0]))
      .slice(0, MOST_STEPS);
  }, [shares]);
  if (names.length === 0) return null;
  return (
    <>
      <label className="block">
        <span>A step of the work</span>
        <select
          className="select w-full text-base"
          value={step?.name ?? ''}
          onChange={({ target }) =>
            onChange(target.value === '' ? null : { name: target.value, part: BASIS })
          }
        >
          <option value="">none by itself</option>
          {names.map(([name, count]) => (
            <option key={name} value={name}>
              {name} ({counted(count, 'pattern')})
            </option>
          ))}
        </select>
      </label>
      {step && (
        <PartSlider
          label="Minutes of this step"
          value={step.part}
          onChange={(part) => onChange({ ...step, part })}
        />
      )}
    </>
  );
}

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

function Slider({
  label,
  said,
  range: [min, max, step],
  value,
  onChange,
}: SliderProps & { readonly said: React.ReactNode; readonly range: readonly [number, number, number] }) {
  return (
    <label className="block">
      <span className="flex justify-between gap-2">
        <span>{label}</span>
        <span className="font-semibold">{said}</span>
      </span>
      <input
        type="range"
        className="range range-xs w-full max-w-none"
        min={min}
        max={max}
        step={step}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}

/** A part of what is so today, told by how much more or less it is. */
function PartSlider({ label, value, onChange }: SliderProps) {
  const more = (value - BASIS) / 100;
  const said = more === 0 ? 'as today' : `${more > 0 ? '+' : '−'}${Math.abs(more)} %`;
  return <Slider label={label} said={said} range={[LEAST, MOST, STEP]} value={value} onChange={onChange} />;
}

/** A rate, up to twice what it is today. */
function RateSlider({ label, value, today, onChange }: SliderProps & { readonly today: number }) {
  const step = Math.max(1, Math.round(Math.max(today, 100) / 40));
  const top = Math.max(today, value, step * 10) * 2;
  return (
    <Slider
      label={label}
      said={<Money of={minor(value)} />}
      // What is so today is one of its steps.
      range={[today % step, top, step]}
      value={value}
      onChange={onChange}
    />
  );
}

/** What falls under cost, and what shelf and month leave then. */
function WhatComesOfIt({
  prices: { shelf, patterns },
  before,
  after,
}: {
  prices: PricesNow;
  before: Effect;
  after: Effect;
}) {
  const names = new Map(shelf.map(({ number, name }) => [number, name]));
  const more = after.month - before.month;
  return (
    <div className="leaf p-4" role="status" aria-label="What comes of it">
      <p className="text-xl font-semibold">
        {after.under.length === 0
          ? 'No piece would sell under cost'
          : `${after.under.length} of ${counted(shelf.length, 'piece')} would sell under cost`}
        {after.falls.length > 0 && `; ${after.falls.length} of them do not today`}
        {after.rises.length > 0 && `; ${after.rises.length} would pay again`}.
      </p>
      <p className="mt-1">
        What a month sells would leave <MoneyAbout of={after.month} /> over its cost
        {Math.round(more) === 0 ? (
          ', as today'
        ) : (
          <>
            , <MoneyAbout of={Math.abs(more)} /> {more > 0 ? 'more' : 'less'} than today
          </>
        )}
        . The whole shelf would leave <MoneyAbout of={after.shelf} /> instead of{' '}
        <MoneyAbout of={before.shelf} />.
      </p>
      {after.underMaterials.length > 0 && (
        <p className="mt-1 font-semibold">
          {counted(after.underMaterials.length, 'piece')} would not even pay{' '}
          {after.underMaterials.length === 1 ? 'its' : 'their'} materials.
        </p>
      )}
      {after.falls.length > 0 && (
        <ul aria-label="Fall under cost" className="mt-2 flex flex-wrap gap-x-4">
          {after.falls.slice(0, NAMED).map((number) => (
            <li key={number}>
              <Link className="link" href={`/shelf/${tag('piece', number)}`}>
                {names.get(number)}
              </Link>{' '}
              <span className="muted">{tag('piece', number)}</span>
            </li>
          ))}
          {after.falls.length > NAMED && <li className="muted">and {after.falls.length - NAMED} more</li>}
        </ul>
      )}
      <NewPieces patterns={patterns} after={after} />
    </div>
  );
}

/** Of which patterns a new piece would sell under cost. */
function NewPieces({
  patterns,
  after: { patternsUnder, patternsFall },
}: {
  patterns: PricesNow['patterns'];
  after: Effect;
}) {
  if (patterns.length === 0) return null;
  const names = new Map(patterns.map(({ number, name }) => [number, name]));
  return (
    <>
      <p className="mt-2">
        {patternsUnder.length === 0
          ? `A new piece of any of ${counted(patterns.length, 'pattern')} would pay its cost.`
          : `New pieces of ${patternsUnder.length} of ${counted(patterns.length, 'pattern')} would sell under cost` +
            (patternsFall.length > 0 ? `; of ${patternsFall.length} of them they do not today.` : '.')}
      </p>
      {patternsUnder.length > 0 && (
        <ul aria-label="Patterns under cost" className="flex flex-wrap gap-x-4">
          {patternsUnder.slice(0, NAMED).map((number) => (
            <li key={number}>
              <Link className="link" href={`/patterns/${tag('pattern', number)}`}>
                {names.get(number)}
              </Link>
            </li>
          ))}
          {patternsUnder.length > NAMED && <li className="muted">and {patternsUnder.length - NAMED} more</li>}
        </ul>
      )}
    </>
  );
}

const part = (of: number): string => String(of / 100);

/** What is supposed is kept, to be looked at again. */
function KeepIt({ supposed }: { supposed: Supposed }) {
  const currency = useCurrency();
  const done = useDone(() => 'It is kept.');
  const { metals, stones, minutes, step, prices, hourlyRate, overheadPerHour, feePercent } = supposed;
  const values = {
    metals: Object.entries(metals).map(([metal, of]) => ({ metal, part: part(of) })),
    ...{ stones: part(stones), minutes: part(minutes), prices: part(prices), feePercent: part(feePercent) },
    ...{ step: step?.name ?? '', stepPart: part(step?.part ?? BASIS) },
    hourlyRate: typedMoney(hourlyRate, currency),
    overheadPerHour: typedMoney(overheadPerHour, currency),
  };
  return (
    <div className="leaf no-print mt-3 p-4">
      <ActForm
        input={ScenarioInput}
        defaultValues={{ ...values, name: '' }}
        send={(key, { name }) => keepScenarioAction(key, { ...values, name } as ScenarioInput)}
        onDone={done}
        action="Keep it"
        busy="Keeping …"
        typedFor="scenario"
      >
        {(control) => (
          <TextField control={control} name="name" label="Call it" placeholder="Silver up a fifth" />
        )}
      </ActForm>
    </div>
  );
}

/** What was supposed before, side by side with today. */
function Kept({
  scenarios,
  effectOf,
  before,
  onLook,
}: {
  scenarios: readonly KeptScenario[];
  effectOf: (supposed: Supposed) => Effect;
  before: Effect;
  onLook: (supposed: Supposed) => void;
}) {
  const { busy, problem, run } = useAct();
  const done = useDone(() => 'It is let go of.');
  return (
    <div className="leaf mt-3 overflow-x-auto p-4">
      <table className="table" aria-label="Kept">
        <thead>
          <tr>
            <th scope="col">Supposed</th>
            <th scope="col" className="text-right">
              Under cost
            </th>
            <th scope="col" className="text-right">
              A month leaves
            </th>
            <th scope="col" className="text-right">
              The shelf leaves
            </th>
            <th scope="col" className="no-print">
              <span className="sr-only">What to do with it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">As it is today</th>
            <Figures of={before} />
            <td className="no-print" />
          </tr>
          {scenarios.map(({ id, name, supposed }) => (
            <tr key={id}>
              <th scope="row" className="[overflow-wrap:anywhere]">
                {name}
              </th>
              <Figures of={effectOf(supposed)} />
              <td className="no-print whitespace-nowrap">
                <button type="button" className="btn btn-ghost min-h-11" onClick={() => onLook(supposed)}>
                  Look<span className="sr-only"> at “{name}”</span>
                </button>
                <button
                  type="button"
                  className="btn btn-ghost min-h-11"
                  disabled={busy}
                  onClick={() => void run(() => dropScenarioAction(newKey(), id), done)}
                >
                  Let go<span className="sr-only"> of “{name}”</span>
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem !== '' && <p className="font-semibold text-error">{problem}</p>}
    </div>
  );
}

function Figures({ of: { under, month, shelf } }: { of: Effect }) {
  return (
    <>
      <td className="text-right">{under.length}</td>
      <td className="text-right">
        <MoneyAbout of={month} />
      </td>
      <td className="text-right">
        <MoneyAbout of={shelf} />
      </td>
    </>
  );
}
