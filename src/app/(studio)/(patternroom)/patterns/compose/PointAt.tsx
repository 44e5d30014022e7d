import { useMemo, useRef, useState, type MouseEvent } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { seenFrom, type View } from '@/core/drawing/view';
import { lazily } from '@/core/lazily';
import { pointing, type Thing, type Things, type Under } from '@/core/pattern/things';
import { Said } from '@/ui/house';
import { placeOn } from '@/ui/craft/placeOn';

/** Lies over the picture of a piece: what one points at is named and shown, and taken in hand when it is pressed. Keys choose it by name, below. */
export function PointAt({
  things,
  held,
  radius,
  view,
  box,
  onPoint,
}: {
  readonly things: () => Things;
  /** What is in hand. */
  readonly held: Thing | undefined;
  /** What a finger reaches, mm. */
  readonly radius: number;
  readonly view: View;
  readonly box: LineDrawing['box'];
  readonly onPoint: (under: Under) => void;
}) {
  const picture = useRef<SVGSVGElement>(null);
  const ask = useMemo(() => lazily(() => pointing(things(), view)), [things, view]);
  const [under, setUnder] = useState<Under>();
  const underOf = (event: MouseEvent): Under | undefined => {
    const at = placeOn(picture.current, event);
    return at && ask()(at, radius);
  };
  // A finger points at nothing before it presses: what it took in hand is named then.
  const called = under?.name ?? held?.name;
  return (
    <>
      <svg
        ref={picture}
        aria-hidden="true"
        viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
        className={`no-print absolute inset-0 h-full w-full text-primary ${under ? 'cursor-pointer' : ''}`}
        fill="none"
        stroke="currentColor"
        strokeLinecap="round"
        strokeLinejoin="round"
        onPointerMove={(event) => {
          const now = underOf(event);
          if (now?.name !== under?.name || now?.thing !== under?.thing) setUnder(now);
        }}
        onPointerLeave={() => setUnder(undefined)}
        onClick={(event) => {
          const now = underOf(event);
          if (now) onPoint(now);
        }}
      >
        <rect x={box.x} y={box.y} width={box.width} height={box.height} stroke="none" fill="transparent" />
        {held && <ThingShown thing={held} view={view} wide={radius / 4} />}
        {under && under.thing.id !== held?.id && (
          <ThingShown thing={under.thing} view={view} wide={radius / 10} />
        )}
      </svg>
      {called !== undefined && (
        <p
          aria-hidden="true"
          className="no-print pointer-events-none absolute bottom-0 left-0 max-w-[75%] bg-base-100/90 px-2 py-1 text-sm"
        >
          <Said>{called}</Said>
        </p>
      )}
    </>
  );
}

function ThingShown({
  thing,
  view,
  wide,
}: {
  readonly thing: Thing;
  readonly view: View;
  readonly wide: number;
}) {
  return thing.lines.map((line, index) => (
    <polyline
      key={index}
      points={seenFrom(view, line)
        .map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`)
        .join(' ')}
      strokeWidth={wide}
      strokeOpacity={0.7}
    />
  ));
}
