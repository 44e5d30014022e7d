'use client';

import { memo, useMemo, useState } from 'react';
import { hangingPoint, tiltWhenHungFrom } from '@/core/judgement/hanging';
import { centroidOf, pathOf, pointsOf } from '@/core/outline/outline';
import { outlineOf, type OutlineMeasures } from '@/core/stone/outlineOf';
import { mm } from '@/core/units/length';
import { Field, TextInput } from '../form/Field';
import { Reckoned } from '../lengths';

/** Places along an outline that are looked at to find its top. */
const PLACES = 360;
/** Aside by less than this nobody sees, mm. */
const STRAIGHT = 0.1;

/** A tilt as it was typed, degrees; undefined when it is none. */
function tiltIn(text: string): number | undefined {
  const degrees = text.trim() === '' ? 0 : Number(text.replace(',', '.').replace('−', '-'));
  return Math.abs(degrees) <= 90 ? degrees : undefined;
}

/** What of a stone does not change with the tilt that is wanted; undefined when it has no outline. */
function seenStone(stone: OutlineMeasures) {
  const read = outlineOf(stone);
  if (!read.ok) return undefined;
  const outline = read.value;
  const places = pointsOf(outline, Math.ceil(PLACES / outline.curves.length));
  const top = places.reduce((best, each) => (each.y < best.y - 1e-6 ? each : best));
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  return {
    outline,
    top,
    balance: centroidOf(outline),
    tilt: tiltWhenHungFrom(outline, top),
    left: Math.min(...xs),
    right: Math.max(...xs),
    up: Math.min(...ys),
    down: Math.max(...ys),
  };
}

/** Where a stone hangs straight or at a wanted tilt from, and how it tilts when it hangs from its top: both are drawn, since makers do both. */
export const StoneHanging = memo(function StoneHanging({ stone }: { stone: OutlineMeasures }) {
  const [wanted, setWanted] = useState('0');
  const seen = useMemo(() => seenStone(stone), [stone]);
  if (!seen) return null;
  const { outline, top, balance, tilt, left, right, up, down } = seen;
  const lean = tiltIn(wanted);
  const over = hangingPoint(outline, lean ?? 0);
  const thin = (right - left) / 80;
  const straight = Math.abs(over.aside - top.x) < STRAIGHT;
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
            x={top.x - thin * 3}
            y={top.y - thin * 3}
            width={thin * 6}
            height={thin * 6}
            fill="none"
            stroke="currentColor"
            strokeWidth={thin}
          />
        )}
      </svg>
      <figcaption className="min-w-0 grow basis-40 text-sm">
        {straight && !lean ? (
          'It hangs straight from its top, which lies over its balance.'
        ) : (
          <>
            It hangs {lean ? `tilted by ${lean}°` : 'straight'} from the ring,{' '}
            <Reckoned of={mm(Math.abs(over.aside - top.x))} /> to the {over.aside > top.x ? 'right' : 'left'}{' '}
            of its top; hung from its top, the square, it tilts {Math.abs(Math.round(tilt))}°.
          </>
        )}
        <Field
          label="Wanted tilt, degrees to the right"
          error={
            lean === undefined ? `“${wanted.slice(0, 20)}” was given; -90 to 90 are allowed.` : undefined
          }
        >
          {(ties) => (
            <TextInput
              {...ties}
              inputMode="numeric"
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
            />
          )}
        </Field>
      </figcaption>
    </figure>
  );
});
