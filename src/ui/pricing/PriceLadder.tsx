'use client';

import { memo, useId, useMemo, useState } from 'react';
import { COST_LINES, costSheet, type CostSheet } from '@/core/costing/costSheet';
import type { SaleRules } from '@/core/costing/expectedSale';
import type { Rung } from '@/core/costing/ladder';
import { priceBasis } from '@/core/costing/price';
import { priceBySchools, verdictOn, type SchoolPrice } from '@/core/costing/priceSchools';
import { formatCost, formatMoney, parseMoney } from '@/core/units/money';
import { metalOf } from '@/core/wire/metal';
import { COST_WORDS } from '../costWords';
import { Field, TextInput } from '../form/Field';
import { Said } from '../house';
import { metalEdge, metalFill } from '../metalColour';
import { useCurrency } from '../currency';
import { Cost, Money, MoneyAbout } from '../money';

/** One column: the piece in one metal, at what was paid or at today's prices. */
interface Column {
  readonly key: string;
  readonly title: string;
  readonly at: 'actual' | 'replacement';
  readonly metal: Rung['shown'];
  readonly sheet: CostSheet;
  readonly schools: readonly SchoolPrice[];
}

const MOST_IN_SITTING = 500;

/** The number of pieces that was typed; 1 while it is none. */
const sittingOf = (text: string): number => {
  const count = /^\d{1,3}$/.test(text.trim()) ? Number(text) : 1;
  return Math.min(MOST_IN_SITTING, Math.max(1, count));
};

function columnsOf(
  rungs: readonly Rung[],
  rules: SaleRules,
  sharedBy: number,
  going: SchoolPricing,
): Column[] {
  return rungs.flatMap((rung): Column[] => {
    const sheet = costSheet({ ...rung.outlay, sharedBy }, rules);
    const column = (at: Column['at'], title: string): Column => ({
      key: `${rung.metal ?? 'own'} ${at}`,
      title,
      at,
      metal: rung.shown,
      sheet,
      schools: priceBySchools(priceBasis(sheet, at), rules, going),
    });
    if (rung.metal === null)
      return [column('actual', 'As it is, paid'), column('replacement', 'As it is, today')];
    return [column('replacement', `In ${metalOf(rung.metal).name.toLowerCase()}`)];
  });
}
type SchoolPricing = Parameters<typeof priceBySchools>[2];

interface PriceLadderProps {
  readonly rungs: readonly Rung[];
  readonly rules: SaleRules;
  /** Puts the other metals beside it, where they are not yet. */
  readonly onCompare?: (() => void) | undefined;
}

/**
 * What a piece would cost and sell for before any wire is cut: at what was paid and at today's prices, and the same piece in the
 * studio's other metals, every price school on each.
 */
export const PriceLadder = memo(function PriceLadder({ rungs, rules, onCompare }: PriceLadderProps) {
  const currency = useCurrency();
  const headingId = useId();
  const [sitting, setSitting] = useState('1');
  const [goingText, setGoing] = useState('');
  const typed = parseMoney(goingText, currency);
  const going = typed.ok && typed.value > 0 ? typed.value : null;
  const sharedBy = sittingOf(sitting);
  const columns = useMemo(() => columnsOf(rungs, rules, sharedBy, going), [rungs, rules, sharedBy, going]);
  const [own] = rungs;
  const main = columns.find(({ at }) => at === rules.priceFrom);
  if (!own || !main) return null;
  const unknown = own.parts.filter((part) => part.cost === null).map(({ name }) => name);
  const margin = main.schools.find(({ id }) => id === 'margin')?.outcome;
  return (
    <section className="leaf p-4" aria-labelledby={headingId}>
      <h2 id={headingId}>
        Costs {formatCost(main.sheet.total[main.at], currency)} to make
        {margin?.ok && `, ${formatMoney(margin.value.price, currency)} keeps your margin`}
      </h2>
      <div className="no-print mt-2 grid gap-3 sm:grid-cols-2 lg:max-w-2xl">
        <Field label="Pieces made in one sitting" hint="They share the setting up">
          {(ties) => (
            <TextInput
              {...ties}
              inputMode="numeric"
              value={sitting}
              onChange={({ target: { value } }) => setSitting(value)}
            />
          )}
        </Field>
        <Field
          label={`What such pieces sell for, ${currency}`}
          hint="The market’s price, if you know it"
          error={goingText.trim() !== '' && !typed.ok ? typed.error : undefined}
        >
          {(ties) => (
            <TextInput
              {...ties}
              inputMode="decimal"
              value={goingText}
              onChange={({ target: { value } }) => setGoing(value)}
            />
          )}
        </Field>
      </div>
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Costs and prices by metal">
        <table className="table table-sm many-columns">
          <thead>
            <tr>
              <th scope="col" className="min-w-40">
                <span className="sr-only">What it costs and brings</span>
              </th>
              {columns.map(({ key, title, metal }) => (
                <th key={key} scope="col" className="text-right whitespace-nowrap text-base-content">
                  <svg width="12" height="12" aria-hidden="true" className="mr-1 inline">
                    <circle
                      cx="6"
                      cy="6"
                      r="5"
                      fill={metalFill({ metal, finish: 'bare' })}
                      stroke={metalEdge({ metal, finish: 'bare' })}
                    />
                  </svg>
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <CostRows columns={columns} />
          <SchoolRows columns={columns} rules={rules} />
        </table>
      </div>
      {onCompare && (
        <button type="button" className="btn no-print mt-2" onClick={onCompare}>
          Beside other metals
        </button>
      )}
      {rungs.length === 1 && !onCompare && (
        <p className="muted mt-2 text-sm">
          Other metals stand beside it once all its wires have been bought in them.
        </p>
      )}
      {own.unpricedWires.length > 0 && (
        <p className="mt-2 text-sm font-semibold">
          {own.unpricedWires.length === 1
            ? 'One of its wires was'
            : `${own.unpricedWires.length} of its wires were`}{' '}
          never bought: nothing is counted for it yet.
        </p>
      )}
      {unknown.length > 0 && (
        <p className="mt-2 text-sm font-semibold">
          No cost is known of {unknown.join(', ')}: nothing is counted for it yet.
        </p>
      )}
      <p className="muted mt-2 text-sm">
        The whole cuts with their tails, the parts as the drawers have them,{' '}
        {Number(main.sheet.minutes.toFixed(1))} minutes of bench time.
      </p>
    </section>
  );
});

/** Lines of the cost sheet that are foreseen; scrap is known only when it happens. */
const FORESEEN = COST_LINES.filter((id) => id !== 'scrap');

/** Whether anything is lost on the way, by what was. */
const isSpoiling = (columns: readonly Column[]): boolean =>
  columns.some(({ sheet, at }) => sheet.lines.some((line) => line.id === 'spoilage' && line[at] > 0));

function CostRows({ columns }: { columns: readonly Column[] }) {
  return (
    <tbody>
      {FORESEEN.filter((id) => id !== 'spoilage' || isSpoiling(columns)).map((id) => (
        <tr key={id}>
          <th scope="row" className="font-normal">
            {COST_WORDS[id]}
          </th>
          {columns.map(({ key, sheet, at }) => (
            <td key={key} className="text-right">
              <Cost of={(sheet.lines.find((line) => line.id === id) ?? sheet.total)[at]} />
            </td>
          ))}
        </tr>
      ))}
      <tr className="border-b-2 border-base-300 font-semibold">
        <th scope="row">Together</th>
        {columns.map(({ key, sheet, at }) => (
          <td key={key} className="text-right">
            <Cost of={sheet.total[at]} />
          </td>
        ))}
      </tr>
    </tbody>
  );
}

function SchoolRows({ columns, rules }: { columns: readonly Column[]; rules: SaleRules }) {
  const currency = useCurrency();
  const schools = columns[0]?.schools ?? [];
  return (
    <tbody>
      {schools.map(({ id, name, rule }, row) => (
        <tr key={id}>
          <th scope="row" className="font-normal">
            <span className="font-semibold">{name}</span>
            <span className="muted block text-sm">{rule}</span>
          </th>
          {columns.map(({ key, schools: own }) => {
            const outcome = own[row]?.outcome;
            return (
              <td key={key} className="text-right align-top">
                {outcome?.ok ? (
                  <>
                    <span className="font-semibold">
                      <Money of={outcome.value.price} />
                    </span>
                    {outcome.value.perHour !== null && (
                      <span className="muted block text-sm whitespace-nowrap">
                        <MoneyAbout of={outcome.value.perHour} /> an hour
                        <span className="sr-only">
                          , <Said>{verdictOn(outcome.value, rules, currency)}</Said>
                        </span>
                      </span>
                    )}
                  </>
                ) : (
                  <span className="muted">—</span>
                )}
              </td>
            );
          })}
        </tr>
      ))}
    </tbody>
  );
}
