'use client';

import { hangingPoint, tiltWhenHungAt } from '@/core/judgement/hanging';
import { centroidOf, pathOf, perimeterOf, placeAt } from '@/core/outline/outline';
import { outlineOf, type OutlineMeasures } from '@/core/outline/outlineOf';
import { mm } from '@/core/units/length';
import { Reckoned } from '../lengths';

/** Places along an outline that are looked at to find its top. */
const PLACES = 360;
/** Aside by less than this nobody sees, mm. */
const STRAIGHT = 0.1;

/** Where a stone hangs straight from, and how it tilts when it hangs from its top: both are drawn, since makers do both. */
export function StoneHanging({ stone }: { stone: OutlineMeasures }) {
  const read = outlineOf(stone);
  if (!read.ok) return null;
  const outline = read.value;
  const whole = perimeterOf(outline);
  const places = Array.from({ length: PLACES }, (_, index) => placeAt(outline, (whole * index) / PLACES));
  const top = places.reduce((best, each) => (each.point.y < best.point.y - 1e-6 ? each : best));
  const balance = centroidOf(outline);
  const over = hangingPoint(outline);
  const tilt = tiltWhenHungAt(outline, top.along);
  const xs = places.map(({ point }) => point.x);
  const ys = places.map(({ point }) => point.y);
  const [left, right, up, down] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const thin = (right - left) / 80;
  const straight = Math.abs(over.aside - top.point.x) < STRAIGHT;
  return (
    <figure className="mt-3 flex flex-wrap items-center gap-3">
      <svg
        viewBox={`${left - 2} ${up - 4} ${right - left + 4} ${down - up + 6}`}
        className="h-24 w-24 text-base-content"
        aria-hidden="true"
      >
        <path d={pathOf(outline)} className="fill-base-300" stroke="currentColor" strokeWidth={thin} />
        <line
          x1={over.point.x}
          y1={over.point.y}
          x2={balance.x}
          y2={balance.y}
          stroke="currentColor"
          strokeWidth={thin}
          strokeDasharray={`${thin * 3} ${thin * 2}`}
        />
        <circle cx={balance.x} cy={balance.y} r={thin * 2} fill="currentColor" />
        <circle
          cx={over.point.x}
          cy={over.point.y}
          r={thin * 3}
          fill="none"
          stroke="currentColor"
          strokeWidth={thin}
        />
        {!straight && (
          <rect
            x={top.point.x - thin * 3}
            y={top.point.y - thin * 3}
            width={thin * 6}
            height={thin * 6}
            fill="none"
            stroke="currentColor"
            strokeWidth={thin}
          />
        )}
      </svg>
      <figcaption className="min-w-0 grow basis-40 text-sm">
        {straight ? (
          'It hangs straight from its top, which lies over its balance.'
        ) : (
          <>
            It hangs straight from the ring, <Reckoned of={mm(Math.abs(over.aside - top.point.x))} /> to the{' '}
            {over.aside > top.point.x ? 'right' : 'left'} of its top; hung from its top, the square, it tilts{' '}
            {Math.abs(Math.round(tilt))}°.
          </>
        )}
      </figcaption>
    </figure>
  );
}
