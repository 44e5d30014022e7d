'use client';

import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { SchoolPrice } from '@/core/costing/priceSchools';
import { currencyOf, formatMoney, minor } from '@/core/units/money';
import { useWriting } from '@/ui/house';
import { useCurrency } from '@/ui/currency';

/** What a price is made of, from the ground up. Greys and the one accent: colour proper is for metal. */
const PARTS = [
  { key: 'materials', name: 'Materials', fill: 'var(--part-materials)' },
  { key: 'overhead', name: 'Overhead', fill: 'var(--part-overhead)' },
  { key: 'labour', name: 'Labour', fill: 'var(--part-labour)' },
  { key: 'fees', name: 'Fees', fill: 'var(--part-fees)' },
  { key: 'tax', name: 'Tax', fill: 'var(--part-tax)' },
  { key: 'profit', name: 'Profit', fill: 'var(--color-primary)' },
] as const;

/** The five prices each as long as it is high and laid out in what it pays for; a loss reaches left of the line. */
export function PriceStacks({ schools, chosen }: { schools: readonly SchoolPrice[]; chosen: string }) {
  const currency = useCurrency();
  const major = 10 ** currencyOf(currency).places;
  const data = schools.flatMap(({ id, name, outcome }) =>
    outcome.ok
      ? [
          {
            id,
            name: id === chosen ? `● ${name}` : name,
            ...Object.fromEntries(PARTS.map(({ key }) => [key, outcome.value[key] / major])),
          },
        ]
      : [],
  );
  const used = PARTS.filter(({ key }) =>
    schools.some(({ outcome }) => outcome.ok && Math.abs(outcome.value[key]) >= 0.5),
  );
  const write = useWriting();
  const say = (value: unknown) => write(formatMoney(minor(Math.round(Number(value) * major)), currency));
  return (
    <div
      className="h-72 overflow-hidden"
      role="img"
      aria-label="What each school’s price is made of; the table below has the numbers"
    >
      <ResponsiveContainer width="100%" height="100%">
        <BarChart
          data={data}
          layout="vertical"
          stackOffset="sign"
          margin={{ top: 4, right: 16, bottom: 0, left: 0 }}
        >
          <CartesianGrid horizontal={false} stroke="var(--color-base-300)" />
          <XAxis
            type="number"
            orientation="top"
            tick={{ fill: 'currentColor', fontSize: 12 }}
            tickFormatter={(value: number) => say(value).replace(/[.,]00$/, '')}
            stroke="var(--color-base-300)"
          />
          <YAxis
            type="category"
            dataKey="name"
            width={132}
            tick={{ fill: 'currentColor', fontSize: 12 }}
            interval={0}
            stroke="var(--color-base-300)"
          />
          <Tooltip
            formatter={say}
            cursor={{ fill: 'var(--color-base-200)' }}
            contentStyle={{
              background: 'var(--color-base-100)',
              borderColor: 'var(--color-base-300)',
              color: 'var(--color-base-content)',
            }}
          />
          <Legend
            itemSorter={null}
            wrapperStyle={{ fontSize: 13 }}
            formatter={(value: string) => <span className="text-base-content">{value}</span>}
          />
          {used.map(({ key, name, fill }) => (
            <Bar
              key={key}
              dataKey={key}
              name={name}
              stackId="price"
              fill={fill}
              isAnimationActive={false}
              maxBarSize={26}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
