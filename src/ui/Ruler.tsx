import { rulerEdges, type Edge } from '@/core/ruler';
import type { Micrometres } from '@/core/units/length';

const HEIGHT = 40;

/** A ruler as wide as its box: millimetres or metres on the upper edge, inches or feet on the lower. */
export function Ruler({ span, label }: { span: Micrometres; label: string }) {
  const { metric, imperial } = rulerEdges(span);
  return (
    <svg
      width="100%"
      height={HEIGHT}
      role="img"
      aria-label={label}
      className="block overflow-visible text-base-content"
    >
      <rect x="0" y="0" width="100%" height={HEIGHT} className="fill-base-200 stroke-base-300" />
      <Ticks edge={metric} top />
      <Ticks edge={imperial} />
    </svg>
  );
}

function Ticks({ edge, top = false }: { edge: Edge; top?: boolean }) {
  const from = top ? 0 : HEIGHT;
  const inward = top ? 1 : -1;
  return (
    <g>
      {edge.ticks.map(({ at, label }) => {
        const x = `${at * 100}%`;
        const last = at > 0.94;
        return (
          <g key={at}>
            <line
              x1={x}
              x2={x}
              y1={from}
              y2={from + inward * (label === null ? 4 : 8)}
              stroke="currentColor"
              strokeWidth="1"
            />
            {label !== null && (
              <text
                x={x}
                y={top ? 17 : HEIGHT - 10}
                dx={last ? -3 : 3}
                textAnchor={last ? 'end' : 'start'}
                className="ruler-text"
              >
                {at === 0 ? edge.unit : label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
