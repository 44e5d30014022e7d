'use client';

import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import type { BesideOthers } from '@/core/selling/priceSpeed';

const percent = (part: number): string => `${Math.round(part * 100)} %`;
const AXIS = {
  tick: { fill: 'var(--color-base-content)', fontSize: 12 },
  stroke: 'var(--color-base-content)',
};

/** Pieces by their price and by how long they stood, both as parts of what is usual for their pattern. */
export function PriceSpeed({ points, className }: { points: readonly BesideOthers[]; className: string }) {
  return (
    <div
      className={`overflow-hidden ${className}`}
      role="img"
      aria-label="Each sold piece: its price against how long it stood, beside what is usual for its pattern"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 8, right: 16, bottom: 20, left: 8 }}>
          <CartesianGrid stroke="var(--color-base-300)" />
          <XAxis
            type="number"
            dataKey="price"
            domain={['dataMin', 'dataMax']}
            tickFormatter={percent}
            label={{ value: 'Price, of what is usual for its pattern', position: 'bottom', offset: 2 }}
            {...AXIS}
          />
          <YAxis
            type="number"
            dataKey="days"
            tickFormatter={percent}
            label={{ value: 'Days', angle: -90, position: 'insideLeft' }}
            {...AXIS}
          />
          <ReferenceLine x={1} stroke="var(--color-base-content)" strokeDasharray="4 4" />
          <ReferenceLine y={1} stroke="var(--color-base-content)" strokeDasharray="4 4" />
          <Scatter
            data={[...points]}
            fill="var(--color-primary)"
            fillOpacity={0.6}
            isAnimationActive={false}
          />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
