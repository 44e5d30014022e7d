import type { Leftover } from '@/core/cuttingStock/problem';
import type { Micrometres } from '@/core/units/length';
import type { WireSpec } from '@/core/wire/spec';
import { metalEdge, metalFill } from './metalColour';

const HEIGHT = 24;
const THICK = 14;

/** A stock piece as it is to be cut, to scale: its cuts from the left, then what stays, faint; scrap is only outlined. */
export function CutBar({
  spec,
  cuts,
  left,
  leftIs,
  span,
}: {
  spec: WireSpec;
  cuts: readonly Micrometres[];
  left: Micrometres;
  leftIs: Leftover;
  /** Length the full width of the box stands for: the ruler’s. */
  span: Micrometres;
}) {
  const y = (HEIGHT - THICK) / 2;
  const part = (of: number) => `${Math.min(100, (Math.max(0, of) / span) * 100)}%`;
  const starts = cuts.map((_, index) => cuts.slice(0, index).reduce((sum, cut) => sum + cut, 0));
  const used = cuts.reduce((sum, cut) => sum + cut, 0);
  const shown = Math.min(left, span - used);
  return (
    <svg width="100%" height={HEIGHT} aria-hidden="true" className="block overflow-visible">
      {left > 0 && (
        <rect
          x={part(used)}
          y={y}
          width={part(shown)}
          height={THICK}
          fill={leftIs === 'scrap' ? 'none' : metalFill(spec)}
          fillOpacity="0.25"
          stroke="currentColor"
          strokeOpacity="0.6"
          strokeDasharray={leftIs === 'scrap' ? '2 3' : undefined}
        />
      )}
      {cuts.map((cut, index) => (
        <rect
          key={index}
          x={part(starts[index] ?? 0)}
          y={y}
          width={part(cut)}
          height={THICK}
          fill={metalFill(spec)}
          stroke={metalEdge(spec)}
        />
      ))}
      {starts.slice(1).map((at) => (
        <line
          key={at}
          x1={part(at)}
          x2={part(at)}
          y1={1}
          y2={HEIGHT - 1}
          stroke="currentColor"
          strokeWidth="1.5"
        />
      ))}
      {cuts.length > 0 && (
        <line
          x1={part(used)}
          x2={part(used)}
          y1={1}
          y2={HEIGHT - 1}
          stroke="currentColor"
          strokeWidth="1.5"
        />
      )}
      {left > shown && (
        <text x="100%" y={HEIGHT / 2 + 4} textAnchor="end" className="ruler-text">
          ⟫
        </text>
      )}
    </svg>
  );
}
