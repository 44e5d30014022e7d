import type { Micrometres } from '@/core/units/length';
import type { WireSpec } from '@/core/wire/spec';
import { metalEdge, metalFill } from './metalColour';

/** A mark along a wire, such as where an allowance begins. */
export interface BarMark {
  readonly at: Micrometres;
  readonly name: string;
}

interface WireBarProps {
  readonly spec: WireSpec;
  readonly length: Micrometres;
  /** Length the full width of the box stands for: the ruler's. */
  readonly span: Micrometres;
  /** What it was once: drawn faintly behind. */
  readonly was?: Micrometres;
  readonly marks?: readonly BarMark[];
  readonly height?: number;
}

/** Pixels a wire's diameter takes for each of its millimetres: enough to tell 20 from 26 gauge. */
const THICKNESS = 9;

/** A wire drawn to its length. One longer than the ruler runs off its end with a torn edge. */
export function WireBar({ spec, length, span, was, marks = [], height = 22 }: WireBarProps) {
  const thick = Math.max(3, Math.min(height - 4, (spec.width / 1000) * THICKNESS));
  const y = (height - thick) / 2;
  const part = (of: number) => `${Math.min(100, (of / span) * 100)}%`;
  return (
    <svg width="100%" height={height} aria-hidden="true" className="block overflow-visible">
      {was !== undefined && was > length && (
        <rect
          x="0"
          y={y}
          width={part(was)}
          height={thick}
          rx={1}
          fill="none"
          stroke="currentColor"
          strokeOpacity="0.35"
          strokeDasharray="2 3"
        />
      )}
      <rect
        x="0"
        y={y}
        width={part(length)}
        height={thick}
        rx={1}
        fill={metalFill(spec)}
        stroke={metalEdge(spec)}
      />
      {marks.map(({ at, name }) => (
        <line
          key={`${at} ${name}`}
          x1={part(at)}
          x2={part(at)}
          y1={1}
          y2={height - 1}
          stroke="currentColor"
          strokeWidth="1.5"
        />
      ))}
      {length > span && (
        <text x="100%" y={height / 2 + 4} textAnchor="end" className="ruler-text">
          ⟫
        </text>
      )}
    </svg>
  );
}
