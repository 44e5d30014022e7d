'use client';

import {
  CartesianGrid,
  Legend,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { dayIn, sayDay } from '@/core/calendar/day';
import type { MakingShown } from '@/studio/logbook/patternHistory';
import { AXIS_LOOK, TIP_LOOK } from '@/ui/chartLook';
import { useHouse } from '@/ui/house';

const percent = (part: number): number => Math.round(part * 1000) / 10;

/** What each making took of what was planned, wire and time, and what it weighs of their middle, so that the spread is seen. */
export function HistoryChart({ makings }: { makings: readonly MakingShown[] }) {
  const { zone, days } = useHouse();
  const sayDayOf = (value: unknown) => sayDay(dayIn(zone, new Date(Number(value))), days);
  const isWeighed = makings.some(({ weight }) => weight !== null);
  const pointsOf = (key: 'wire' | 'time' | 'weight') =>
    makings.flatMap((making) => {
      const part = making[key];
      return part === null ? [] : [{ at: making.madeAt.getTime(), part: percent(part) }];
    });
  return (
    <div
      className="mt-3 h-56 overflow-hidden"
      role="img"
      aria-label={`${isWeighed ? 'Wire, time and weight' : 'Wire and time'} of ${makings.length} makings, in percent of what was planned`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 8, right: 12, bottom: 0, left: 4 }}>
          <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
          <XAxis
            type="number"
            dataKey="at"
            domain={['dataMin', 'dataMax']}
            tickFormatter={sayDayOf}
            tickCount={4}
            {...AXIS_LOOK}
          />
          <YAxis type="number" dataKey="part" domain={['auto', 'auto']} unit=" %" width={56} {...AXIS_LOOK} />
          <ReferenceLine y={100} stroke="currentColor" strokeDasharray="4 3" />
          <Tooltip
            formatter={(value, name) => [name === 'at' ? sayDayOf(value) : `${String(value)} %`, '']}
            separator=""
            contentStyle={TIP_LOOK}
          />
          <Legend />
          <Scatter
            name="Wire that stayed, of plan"
            data={pointsOf('wire')}
            fill="currentColor"
            shape="circle"
            isAnimationActive={false}
          />
          <Scatter
            name="Minutes, of plan"
            data={pointsOf('time')}
            fill="var(--color-primary)"
            shape="diamond"
            isAnimationActive={false}
          />
          {isWeighed && (
            <Scatter
              name="Weight, of the middle one"
              data={pointsOf('weight')}
              fill="var(--color-base-content)"
              fillOpacity={0.5}
              shape="square"
              isAnimationActive={false}
            />
          )}
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
