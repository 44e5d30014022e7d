import { memo } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import type { MetalId } from '@/core/wire/metal';
import { metalEdge, metalFill } from '../metalColour';

/** Wires drawn to scale in the colour of their metal, over and under one another, stones and beads in grey between them. */
export const PlanDrawing = memo(function PlanDrawing({
  drawing: { box, layers },
  metalOf,
  label,
  className = 'h-72 w-full',
}: {
  drawing: LineDrawing;
  metalOf: (wire: string) => MetalId;
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
        if (each.kind === 'body')
          return (
            <path
              key={index}
              d={each.d}
              className="fill-base-300"
              stroke="currentColor"
              strokeWidth={box.width / 400}
            />
          );
        const of = { metal: metalOf(each.wire), finish: 'bare' as const };
        const stroke = each.kind === 'edge' ? metalEdge(of) : metalFill(of);
        return <path key={index} d={each.d} stroke={stroke} strokeWidth={each.thick} />;
      })}
    </svg>
  );
});
