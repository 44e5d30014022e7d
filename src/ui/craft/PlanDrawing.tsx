import { memo } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { edgeOf, type Looks } from '@/core/drawing/look';
import { metalEdge, metalFill } from '../metalColour';

/** Wires drawn to scale in the colour of their metal, over and under one another, and between them stones and beads in theirs: in grey while it is not known. */
export const PlanDrawing = memo(function PlanDrawing({
  drawing: { box, layers },
  looks: { wireOf, materialOf },
  label,
  className = 'h-72 w-full',
}: {
  drawing: LineDrawing;
  looks: Looks;
  label: string;
  className?: string;
}) {
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className={`text-base-content ${className}`}
      fill="none"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      {layers.map((each, index) => {
        if (each.kind === 'body') {
          const colour = materialOf(each.body)?.colour;
          return (
            <path
              key={index}
              d={each.d}
              className={colour ? undefined : 'fill-base-300'}
              fill={colour}
              stroke={colour ? edgeOf(colour) : 'currentColor'}
              strokeWidth={box.width / 400}
            />
          );
        }
        const of = wireOf(each.wire);
        const stroke = each.kind === 'edge' ? metalEdge(of) : metalFill(of);
        return <path key={index} d={each.d} stroke={stroke} strokeWidth={each.thick} />;
      })}
    </svg>
  );
});
