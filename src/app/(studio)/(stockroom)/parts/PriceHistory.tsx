'use client';

import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { sayDay, type Day, dayIn } from '@/core/calendar/day';
import { formatCost, cost, type CostUnits } from '@/core/units/money';
import { AXIS_LOOK, TIP_LOOK } from '@/ui/chartLook';
import { useHouse, useWriting } from '@/ui/house';
import { useCurrency } from '@/ui/currency';

/** A price on a day. */
export interface PricePoint {
  readonly day: Day;
  readonly perUnit: CostUnits;
}

const DAY_MS = 86_400_000;

/** A price over time, with a dot for every day it is known of. */
export function PriceHistory({
  points,
  unit,
  stroke = 'var(--color-primary)',
}: {
  points: readonly PricePoint[];
  unit: string;
  stroke?: string;
}) {
  const currency = useCurrency();
  const { days } = useHouse();
  const write = useWriting();
  const say = (value: unknown) => write(formatCost(cost(Math.round(Number(value))), currency));
  const data = points.map(({ day, perUnit }) => ({ at: Date.parse(`${day}T00:00:00Z`) / DAY_MS, perUnit }));
  const sayDayOf = (value: unknown) => sayDay(dayIn('UTC', new Date(Number(value) * DAY_MS)), days);
  return (
    <div
      className="mt-2 h-48 overflow-hidden"
      role="img"
      aria-label={`Price ${unit} over time, from ${points[0] ? sayDay(points[0].day, days) : ''}`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 8, right: 12, bottom: 0, left: 4 }}>
          <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
          <XAxis
            type="number"
            dataKey="at"
            domain={['dataMin', 'dataMax']}
            tickFormatter={sayDayOf}
            tickCount={4}
            {...AXIS_LOOK}
          />
          <YAxis domain={['auto', 'auto']} tickFormatter={say} width={72} {...AXIS_LOOK} />
          <Tooltip
            formatter={(value) => [`${say(value)} ${unit}`, '']}
            separator=""
            labelFormatter={sayDayOf}
            contentStyle={TIP_LOOK}
          />
          <Line
            dataKey="perUnit"
            stroke={stroke}
            strokeWidth={2}
            dot={data.length < 60}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
