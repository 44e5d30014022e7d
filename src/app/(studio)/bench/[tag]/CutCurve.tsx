'use client';

import {
  Area,
  AreaChart,
  CartesianGrid,
  Legend,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { Weighing } from '@/core/learning/cutLength';
import { formatToCut, mm, type Micrometres } from '@/core/units/length';
import { cost, formatCost } from '@/core/units/money';
import { AXIS_LOOK, TIP_LOOK } from '@/ui/chartLook';
import { useCurrency } from '@/ui/currency';
import { useWriting } from '@/ui/house';
import { useLengths } from '@/ui/lengths';

/** What cutting a wire longer or shorter would cost on the average, with the length that costs least. */
export function CutCurve({ curve, chosen }: { curve: readonly Weighing[]; chosen: Micrometres }) {
  const { system } = useLengths();
  const currency = useCurrency();
  const write = useWriting();
  const sayLength = (value: unknown) => write(formatToCut(mm(Number(value)), system));
  const sayCost = (value: unknown) => write(formatCost(cost(Math.round(Number(value))), currency));
  return (
    <div
      className="mt-2 h-48 overflow-hidden text-sm"
      role="img"
      aria-label={`What each length costs on the average: least at ${sayLength(chosen / 1000)}`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <AreaChart data={[...curve]} margin={{ top: 8, right: 12, bottom: 0, left: 4 }}>
          <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
          <XAxis
            type="number"
            dataKey="length"
            domain={['dataMin', 'dataMax']}
            tickFormatter={sayLength}
            tickCount={4}
            {...AXIS_LOOK}
          />
          <YAxis tickFormatter={sayCost} width={64} {...AXIS_LOOK} />
          <Tooltip
            formatter={(value, name) => [sayCost(value), name]}
            labelFormatter={sayLength}
            contentStyle={TIP_LOOK}
          />
          <Legend />
          <Area
            name="Running short"
            dataKey="short"
            stackId="cost"
            stroke="var(--color-primary)"
            fill="var(--color-primary)"
            fillOpacity={0.35}
            isAnimationActive={false}
          />
          <Area
            name="Left over"
            dataKey="long"
            stackId="cost"
            stroke="currentColor"
            fill="currentColor"
            fillOpacity={0.2}
            isAnimationActive={false}
          />
          <ReferenceLine x={chosen / 1000} stroke="currentColor" strokeDasharray="4 3" />
        </AreaChart>
      </ResponsiveContainer>
    </div>
  );
}
