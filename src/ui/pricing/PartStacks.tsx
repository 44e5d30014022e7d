'use client';

import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
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

export type StackPart = (typeof PARTS)[number]['key'];

/** Something that is laid out in what it pays for; amounts in minor units. */
export interface Stack {
  readonly id: string;
  readonly name: string;
  readonly parts: Readonly<Partial<Record<StackPart, number>>>;
}

/** Amounts each as long as it is high and laid out in what it pays for; a loss reaches left of the line. */
export function PartStacks({
  stacks,
  label,
  className = 'h-72',
}: {
  readonly stacks: readonly Stack[];
  /** What is seen, for who cannot see it. */
  readonly label: string;
  readonly className?: string;
}) {
  const currency = useCurrency();
  const major = 10 ** currencyOf(currency).places;
  const data = stacks.map(({ id, name, parts }) => ({
    id,
    name,
    ...Object.fromEntries(PARTS.map(({ key }) => [key, (parts[key] ?? 0) / major])),
  }));
  const used = PARTS.filter(({ key }) => stacks.some(({ parts }) => Math.abs(parts[key] ?? 0) >= 0.5));
  const write = useWriting();
  const say = (value: unknown) => write(formatMoney(minor(Math.round(Number(value) * major)), currency));
  return (
    <div className={`overflow-hidden ${className}`} role="img" aria-label={label}>
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
