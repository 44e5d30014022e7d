'use client';

import { useState } from 'react';
import type { PriceRules } from '@/core/costing/price';
import {
  atOnePrice,
  schoolsTogether,
  type NamedVariant,
  type SchoolTogether,
} from '@/core/costing/priceTogether';
import type { Rates } from '@/core/costing/costSheet';
import { counted } from '@/core/units/counted';
import { parseMoney, type MinorUnits } from '@/core/units/money';
import { readNumbers } from '@/core/units/writing';
import { useCurrency } from '@/ui/currency';
import { Field } from '@/ui/form/Field';
import { useHouse } from '@/ui/house';
import { Money, MoneyAbout } from '@/ui/money';

/** What prices are worked out by. */
export type RulesTogether = PriceRules & Rates;

interface WaysProps {
  /** What is priced; what it costs is an average of the pieces of a name. */
  readonly variants: readonly NamedVariant[];
  readonly rules: RulesTogether;
  /** What the last school goes by: "on their tags". */
  readonly goingIs: string;
  /** Told what each variant is to sell for, where prices can be put on them. */
  readonly onPrice?: (prices: readonly (MinorUnits | null)[]) => void;
  readonly busy?: boolean;
}

/** Five schools side by side over many pieces: what all of them would bring, what an hour of them earns, and what each would sell for. */
export function WaysTogether({ variants, rules, goingIs, onPrice, busy = false }: WaysProps) {
  const schools = schoolsTogether(variants, rules);
  const pieces = variants.reduce((sum, { count }) => sum + count, 0);
  return (
    <>
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">School</th>
              <th scope="col" className="text-right">
                All together
              </th>
              <th scope="col" className="text-right">
                An hour earns
              </th>
              <th scope="col" className="text-right">
                Under cost
              </th>
              {onPrice && (
                <th scope="col" className="no-print">
                  <span className="sr-only">Put on them</span>
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {schools.map((school) => (
              <School
                key={school.id}
                school={school}
                pieces={pieces}
                rules={rules}
                goingIs={goingIs}
                {...(onPrice && {
                  onPrice: () => onPrice(school.prices.map((split) => split?.price ?? null)),
                })}
                busy={busy}
              />
            ))}
          </tbody>
        </table>
      </div>
      <EachVariant variants={variants} schools={schools} />
    </>
  );
}

function School({
  school: { id, name, rule, together, answered, perHour, under },
  pieces,
  rules: { hourlyRate },
  goingIs,
  onPrice,
  busy,
}: {
  school: SchoolTogether;
  pieces: number;
  rules: RulesTogether;
  goingIs: string;
  onPrice?: () => void;
  busy: boolean;
}) {
  const isGiven = id === 'market';
  return (
    <tr>
      <th scope="row" className="min-w-44 font-normal">
        <span className="font-semibold">{name}</span>{' '}
        <span className="muted">{isGiven ? goingIs : rule}</span>
        {answered < pieces && (
          <span className="block">
            {answered === 0 ? 'of no piece known' : `of ${answered} of ${pieces} pieces`}
          </span>
        )}
      </th>
      <td className="text-right font-semibold">{answered === 0 ? '—' : <MoneyAbout of={together} />}</td>
      <td className="text-right">{perHour === null ? '—' : <PerHour of={perHour} rate={hourlyRate} />}</td>
      <td className="text-right">{answered === 0 ? '—' : under === 0 ? 'none' : under}</td>
      {onPrice && (
        <td className="no-print text-right">
          {!isGiven && answered > 0 && (
            <button type="button" className="btn min-h-11" disabled={busy} onClick={onPrice}>
              Put these on<span className="sr-only">: {name}</span>
            </button>
          )}
        </td>
      )}
    </tr>
  );
}

/** What an hour earns, and whether that is under the studio’s rate. */
const PerHour = ({ of, rate }: { of: number; rate: MinorUnits }) => (
  <span className={of < rate ? 'text-error' : ''}>
    <MoneyAbout of={of} />
    {of < rate && <span className="block text-sm">under your rate</span>}
  </span>
);

/** So many variants are shown, and so many more when they are asked for. */
const SHOWN = 15;

/** What each variant would sell for, by each school. */
function EachVariant({
  variants,
  schools,
}: {
  variants: readonly NamedVariant[];
  schools: readonly SchoolTogether[];
}) {
  const [most, setMost] = useState(SHOWN);
  return (
    <>
      <div className="mt-3 overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">One of</th>
              <th scope="col" className="text-right">
                Costs
              </th>
              {schools.map(({ id, name }) => (
                <th key={id} scope="col" className="text-right">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {variants.slice(0, most).map(({ name, count, basis }, at) => (
              <tr key={name}>
                <th scope="row" className="min-w-32 font-normal [overflow-wrap:anywhere]">
                  {count === 1 ? name : `${count} × ${name}`}
                </th>
                <td className="text-right">
                  <MoneyAbout of={basis.materials + basis.labour + basis.overhead} />
                </td>
                {schools.map(({ id, prices }) => {
                  const split = prices[at];
                  return (
                    <td key={id} className={`text-right ${split && split.profit < 0 ? 'text-error' : ''}`}>
                      {split ? <Money of={split.price} /> : '—'}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {variants.length > most && (
        <button type="button" className="btn no-print mt-2" onClick={() => setMost(most + SHOWN)}>
          {variants.length - most} more
        </button>
      )}
    </>
  );
}

/** One price for the whole tray: what an hour of each variant earns at it, and how long each may take at most. */
export function OneForTheTray({ variants, rules, onPrice, busy = false }: Omit<WaysProps, 'goingIs'>) {
  const currency = useCurrency();
  const { numbers } = useHouse();
  const [typed, setTyped] = useState('');
  const read = typed.trim() === '' ? undefined : parseMoney(readNumbers(typed, numbers), currency);
  const price = read?.ok && read.value > 0 ? read.value : undefined;
  return (
    <>
      <div className="sm:w-60">
        <Field
          label="One price for all"
          hint="What each of them is to sell for"
          error={read && !read.ok ? read.error : undefined}
        >
          {(ties) => (
            <input
              {...ties}
              className="input w-full text-base"
              inputMode="decimal"
              autoComplete="off"
              value={typed}
              onChange={({ target }) => setTyped(target.value)}
            />
          )}
        </Field>
      </div>
      {price !== undefined && (
        <>
          <div className="mt-2 overflow-x-auto" aria-live="polite">
            <table className="table table-sm">
              <thead>
                <tr>
                  <th scope="col">One of</th>
                  <th scope="col" className="text-right">
                    Costs
                  </th>
                  <th scope="col" className="text-right">
                    An hour earns
                  </th>
                  <th scope="col" className="text-right">
                    Takes
                  </th>
                  <th scope="col" className="text-right">
                    May take at most
                  </th>
                </tr>
              </thead>
              <tbody>
                {atOnePrice(variants, price, rules).map(({ split, mostMinutes }, at) => {
                  const { name = '', count = 1, basis } = variants[at] ?? {};
                  const minutes = (basis?.hours ?? 0) * 60;
                  const isLong = minutes > mostMinutes;
                  return (
                    <tr key={name}>
                      <th scope="row" className="min-w-32 font-normal [overflow-wrap:anywhere]">
                        {count === 1 ? name : `${count} × ${name}`}
                      </th>
                      <td className="text-right">
                        <MoneyAbout of={split.materials + split.labour + split.overhead} />
                      </td>
                      <td className="text-right">
                        {split.perHour === null ? (
                          '—'
                        ) : (
                          <PerHour of={split.perHour} rate={rules.hourlyRate} />
                        )}
                      </td>
                      <td className={`text-right ${isLong ? 'font-semibold' : ''}`}>
                        {Math.round(minutes)} min{isLong && ', too long'}
                      </td>
                      <td className="text-right">
                        {Number.isFinite(mostMinutes)
                          ? `${Math.floor(mostMinutes)} min`
                          : 'as long as it likes'}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          <p className="muted text-sm">
            At most: so long that an hour of it still earns your rate of <Money of={rules.hourlyRate} />.
          </p>
          {onPrice && (
            <button
              type="button"
              className="btn no-print mt-2 min-h-11"
              disabled={busy}
              onClick={() => onPrice(variants.map(() => price))}
            >
              Put it on{' '}
              {counted(
                variants.reduce((sum, { count }) => sum + count, 0),
                'piece',
              )}
            </button>
          )}
        </>
      )}
    </>
  );
}
