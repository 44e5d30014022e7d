import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { seenFrom, type View } from '@/core/drawing/view';
import type { Path, Vec3 } from '@/core/geometry/path';

/** Where something is said of a piece, on its picture: places are ringed, what a technique lays is drawn over. */
export function PlacesShown({
  at,
  lines,
  radius,
  view,
  box,
}: {
  readonly at: readonly Vec3[];
  readonly lines: readonly Path[];
  /** Of a mark, mm. */
  readonly radius: number;
  readonly view: View;
  readonly box: LineDrawing['box'];
}) {
  if (at.length + lines.length === 0) return null;
  return (
    <svg
      role="img"
      aria-label="Where that is"
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className="pointer-events-none absolute inset-0 h-full w-full overflow-visible text-error"
      fill="none"
      stroke="currentColor"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {lines.map((line, index) => (
        <polyline
          key={index}
          points={seenFrom(view, line)
            .map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`)
            .join(' ')}
          strokeWidth={radius / 4}
          strokeOpacity={0.8}
        />
      ))}
      {seenFrom(view, at).map(({ x, y }, index) => (
        <circle key={index} cx={x} cy={y} r={radius * RING} strokeWidth={radius / 3} />
      ))}
    </svg>
  );
}

/** A ring about a place is so many times as large as a mark, which may stand at the same place. */
const RING = 1.5;
