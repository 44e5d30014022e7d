import { scaled } from '@/core/geometry/vector';
import { pathOf } from '@/core/outline/outline';
import { outlineOf } from '@/core/stone/outlineOf';
import { oval } from '@/core/outline/shapes/ellipse';
import type { StoneMeasures } from '@/core/stone/stone';

/** Pixels a millimetre takes for every stone and bead: CSS holds that 96 pixels are an inch, so this is life size on most screens. */
export const LIFE_SIZE = 96 / 25.4;

/** A stone true to its outline and to size, from its good side; where it is drilled, the hole is dotted in. */
export function StoneDrawing({ stone, scale = LIFE_SIZE }: { stone: StoneMeasures; scale?: number }) {
  const [length, width, hole] = [stone.length, stone.width, stone.hole].map(
    (each) => (each / 1000) * scale,
  ) as [number, number, number];
  // A stone whose measures make no such outline was kept all the same; its length and width are true.
  const outline = outlineOf({
    outline: stone.outline,
    length,
    width,
    ...(stone.traced?.length ? { points: stone.traced.map((point) => scaled(point, scale)) } : {}),
  });
  const lying = stone.outline === 'crescent';
  const [w, h] = lying ? [length, width * 1.3] : [width, length];
  const box = { width: w + 4, height: h + 4, viewBox: `${-w / 2 - 2} ${-h / 2 - 2} ${w + 4} ${h + 4}` };
  return (
    <svg {...box} aria-hidden="true" className="shrink-0 text-base-content">
      <path
        d={pathOf(outline.ok ? outline.value : oval(length, width))}
        fill="currentColor"
        fillOpacity="0.14"
        stroke="currentColor"
        strokeWidth="1.2"
      />
      {stone.holeAxis === 'side to side' && (
        <line
          x1={-w / 2}
          x2={w / 2}
          y1={-h / 2 + Math.max(3, h * 0.14)}
          y2={-h / 2 + Math.max(3, h * 0.14)}
          stroke="currentColor"
          strokeWidth={Math.max(1, hole)}
          strokeDasharray="2 2"
        />
      )}
      {stone.holeAxis === 'through' && (
        <circle r={Math.max(1, hole / 2)} fill="none" stroke="currentColor" strokeDasharray="2 2" />
      )}
    </svg>
  );
}
