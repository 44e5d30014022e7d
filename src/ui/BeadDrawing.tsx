import type { BeadKind } from '@/core/bead/bead';
import { LIFE_SIZE } from './StoneDrawing';

/** Beads on their thread, life size: the smallest and the largest of a graded strand. */
export function BeadDrawing({ bead, scale = LIFE_SIZE }: { bead: BeadKind; scale?: number }) {
  const sizes =
    bead.max > bead.min ? [bead.min, (bead.min + bead.max) / 2, bead.max] : [bead.min, bead.min, bead.min];
  const across = sizes.map((size) => (size / 1000) * scale);
  const thin = bead.shape === 'rondelle' || bead.shape === 'coin' ? 0.6 : bead.shape === 'tube' ? 1.6 : 1;
  const along = across.map((size) => size * thin);
  const width = along.reduce((sum, each) => sum + each, 0) + 10;
  const height = Math.max(...across) + 4;
  const starts = along.map((_, index) => 5 + along.slice(0, index).reduce((sum, each) => sum + each, 0));
  const straight = bead.shape === 'cube' || bead.shape === 'tube';
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      className="shrink-0 text-base-content"
    >
      <line x1="0" x2={width} y1={height / 2} y2={height / 2} stroke="currentColor" strokeOpacity="0.5" />
      {across.map((size, index) => {
        const [w, x] = [along[index] ?? 0, starts[index] ?? 0];
        return (
          <rect
            key={index}
            x={x}
            y={(height - size) / 2}
            width={w}
            height={size}
            rx={straight ? 1 : w / 2}
            ry={straight ? 1 : size / 2}
            className="fill-base-200"
            stroke="currentColor"
            strokeWidth="1.2"
          />
        );
      })}
    </svg>
  );
}
