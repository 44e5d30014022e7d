import { SQUARE_CORNER_RADIUS } from '@/core/wire/profile';
import type { WireSpec } from '@/core/wire/spec';
import { metalEdge, metalFill } from './metalColour';

/** Pixels a millimetre takes in every cross-section of the product: one scale, so that gauges look as different as they are. */
export const SECTION_SCALE = 17;

const PAD = 1.5;

/** The end of a wire, true to its shape and to the one scale. */
export function CrossSection({ spec, box = 30 }: { spec: WireSpec; box?: number }) {
  const w = (spec.width / 1000) * SECTION_SCALE;
  const h = (spec.height / 1000) * SECTION_SCALE;
  const size = Math.max(box, w + PAD, h + PAD);
  const [cx, cy] = [size / 2, size / 2];
  const paint = { fill: metalFill(spec), stroke: metalEdge(spec), strokeWidth: 1 };
  return (
    <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} aria-hidden="true" className="shrink-0">
      {spec.profile === 'round' && <circle cx={cx} cy={cy} r={w / 2} {...paint} />}
      {spec.profile === 'square' && (
        <rect x={cx - w / 2} y={cy - h / 2} width={w} height={h} rx={w * SQUARE_CORNER_RADIUS} {...paint} />
      )}
      {spec.profile === 'flat' && <rect x={cx - w / 2} y={cy - h / 2} width={w} height={h} {...paint} />}
      {spec.profile === 'half-round' && (
        <path
          d={`M ${cx - w / 2} ${cy + h / 2} A ${w / 2} ${h} 0 0 1 ${cx + w / 2} ${cy + h / 2} Z`}
          {...paint}
        />
      )}
    </svg>
  );
}
