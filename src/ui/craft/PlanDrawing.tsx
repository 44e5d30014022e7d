import { memo } from 'react';
import type { Drawing, DrawnLine } from '@/core/technique/drawPlan';
import type { MetalId } from '@/core/wire/metal';
import { metalEdge, metalFill } from '../metalColour';

/** The edge of a drawn wire, as a part of its thickness. */
const EDGE = 0.12;

/** A plan drawn to scale: stones and beads in grey, wires in the colour of their metal, over and under one another. */
export const PlanDrawing = memo(function PlanDrawing({
  drawing,
  metalOf,
  label,
  className = 'h-72 w-full',
}: {
  drawing: Drawing;
  metalOf: (wire: string) => MetalId;
  label: string;
  className?: string;
}) {
  const { box, behind, level, before, stones, beads } = drawing;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className={`text-base-content ${className}`}
    >
      <Lines lines={behind} metalOf={metalOf} dim />
      {stones.map((d) => (
        <path
          key={d}
          d={d}
          className="fill-base-300"
          fillOpacity="0.75"
          stroke="currentColor"
          strokeWidth={box.width / 400}
        />
      ))}
      {beads.map(({ x, y, diameter }) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={diameter / 2}
          className="fill-base-300"
          stroke="currentColor"
          strokeWidth={box.width / 400}
        />
      ))}
      <Lines lines={level} metalOf={metalOf} />
      <Lines lines={before} metalOf={metalOf} />
    </svg>
  );
});

function Lines({
  lines,
  metalOf,
  dim = false,
}: {
  lines: readonly DrawnLine[];
  metalOf: (wire: string) => MetalId;
  dim?: boolean;
}) {
  const paint = { fill: 'none', strokeLinejoin: 'round', strokeLinecap: 'round' } as const;
  return (
    <g opacity={dim ? 0.7 : 1}>
      {lines.map(({ d, thick, wire }) => {
        const of = { metal: metalOf(wire), finish: 'bare' as const };
        return (
          <g key={wire}>
            <path d={d} {...paint} stroke={metalEdge(of)} strokeWidth={thick} />
            <path d={d} {...paint} stroke={metalFill(of)} strokeWidth={thick * (1 - 2 * EDGE)} />
          </g>
        );
      })}
    </g>
  );
}
