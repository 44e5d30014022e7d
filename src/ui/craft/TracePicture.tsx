'use client';

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Minus, Plus, Scan } from 'lucide-react';
import { distance, minus, plus, scaled, vec, type Vec } from '@/core/geometry/vector';
import { ACROSS, type TracedPhoto } from './tracedPhoto';

/** How far an arrow key moves the cross, and with shift: parts of what is seen. */
const STEP = { far: 0.02, near: 0.004 } as const;
const ARROWS: Readonly<Record<string, Vec>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** As near as it can be brought, and by how much a step brings it nearer. */
const [NEAREST, NEARER] = [12, 1.5];
/** A pointer that moves less than so many points of the screen was to set a point; more moves the photograph. */
const HELD_STILL = 4;

/** What is seen of a photograph: so many times as near as the whole of it, about a middle. */
interface Sight {
  readonly near: number;
  readonly middle: Vec;
}

/** A photograph that points are set on, brought nearer and moved about by buttons, wheel, keys or by pulling at it. */
export function TracePicture({
  photo,
  scale,
  points,
  onPlace,
  onTakeBack,
}: {
  readonly photo: TracedPhoto;
  /** What was set of the known length. */
  readonly scale: readonly Vec[];
  /** What was set of the stone. */
  readonly points: readonly Vec[];
  readonly onPlace: (point: Vec) => void;
  readonly onTakeBack: () => void;
}) {
  const whole = vec(ACROSS / 2, photo.high / 2);
  const [cross, setCross] = useState<Vec>(whole);
  const [told, setSight] = useState<Sight>({ near: 1, middle: whole });
  const picture = useRef<SVGSVGElement>(null);
  const held = useRef<{ readonly from: Vec; readonly sight: Sight; readonly isMoved: boolean }>(undefined);

  const { near } = told;
  const [wide, high] = [ACROSS / near, photo.high / near];
  const within = (at: number, half: number, all: number) => Math.min(all - half, Math.max(half, at));
  const middle = vec(within(told.middle.x, wide / 2, ACROSS), within(told.middle.y, high / 2, photo.high));
  const [left, top] = [middle.x - wide / 2, middle.y - high / 2];
  /** Brings it nearer about a place, which stays where it is on the screen. */
  const bring = (by: number, about: Vec) =>
    setSight(({ near: before }) => {
      const now = Math.min(NEAREST, Math.max(1, before * by));
      return { near: now, middle: plus(about, scaled(minus(middle, about), before / now)) };
    });
  /** It stands in the middle of its room: where something is on it, the browser knows. */
  const placeOf = ({ clientX, clientY }: { readonly clientX: number; readonly clientY: number }): Vec => {
    const back = picture.current?.getScreenCTM()?.inverse();
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(back);
    return vec(Math.min(ACROSS, Math.max(0, x)), Math.min(photo.high, Math.max(0, y)));
  };
  // A wheel that turns over the photograph brings it nearer, and does not move the page: the browser must be told before it does.
  const onWheel = useRef<(event: WheelEvent) => void>(undefined);
  useEffect(() => {
    onWheel.current = (event) => {
      event.preventDefault();
      bring(event.deltaY < 0 ? NEARER : 1 / NEARER, placeOf(event));
    };
  });
  useEffect(() => {
    const seen = picture.current;
    const turn = (event: WheelEvent) => onWheel.current?.(event);
    seen?.addEventListener('wheel', turn, { passive: false });
    return () => seen?.removeEventListener('wheel', turn);
  }, []);

  const moveCross = (to: Vec) => {
    setCross(to);
    // What it is moved to stays in sight.
    const off = (at: number, from: number, reach: number) =>
      at < from ? at - from : at > from + reach ? at - from - reach : 0;
    const by = vec(off(to.x, left, wide), off(to.y, top, high));
    if (by.x !== 0 || by.y !== 0) setSight({ near, middle: plus(middle, by) });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = ARROWS[event.key];
    if (way) moveCross(plus(cross, scaled(way, (event.shiftKey ? STEP.near : STEP.far) * wide)));
    else if (event.key === 'Enter') onPlace(cross);
    else if (event.key === 'Backspace') onTakeBack();
    else if (event.key === '+' || event.key === '=') bring(NEARER, cross);
    else if (event.key === '-') bring(1 / NEARER, cross);
    else return;
    event.preventDefault();
  };
  const onPointerMove = ({ clientX, clientY }: PointerEvent) => {
    const from = held.current;
    const dots = picture.current?.getScreenCTM()?.a;
    if (!from || dots === undefined) return;
    const off = minus(vec(clientX, clientY), from.from);
    if (!from.isMoved && distance(off, vec(0, 0)) < HELD_STILL) return;
    held.current = { ...from, isMoved: true };
    setSight({ near, middle: minus(from.sight.middle, scaled(off, 1 / dots)) });
  };
  /** Marks are as large on the screen however near it is. */
  const mark = 1 / near;
  const [from, to] = scale;
  return (
    <>
      <svg
        ref={picture}
        role="application"
        aria-label="Photograph to trace on"
        tabIndex={0}
        viewBox={`${left} ${top} ${wide} ${high}`}
        className="block max-h-[46vh] w-full cursor-crosshair touch-none border border-base-300 bg-base-200 lg:max-h-[72vh]"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          held.current = { from: vec(event.clientX, event.clientY), sight: { near, middle }, isMoved: false };
        }}
        onPointerMove={onPointerMove}
        onPointerUp={(event) => {
          const was = held.current;
          held.current = undefined;
          if (!was || was.isMoved) return;
          const point = placeOf(event);
          setCross(point);
          onPlace(point);
        }}
        onPointerCancel={() => (held.current = undefined)}
        onKeyDown={onKeyDown}
      >
        <image href={photo.url} width={ACROSS} height={photo.high} />
        {from && to && scale.length === 2 && (
          <line
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            className="stroke-primary"
            strokeWidth={0.6 * mark}
          />
        )}
        {points.length > 1 && (
          <polygon
            points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
            className="fill-primary/20 stroke-primary"
            strokeWidth={0.4 * mark}
          />
        )}
        {[...scale, ...points].map((point, index) => (
          <circle
            key={index}
            cx={point.x}
            cy={point.y}
            r={0.8 * mark}
            className="fill-base-100 stroke-primary"
            strokeWidth={0.4 * mark}
          />
        ))}
        <path
          d={`M${cross.x - 3 * mark} ${cross.y}h${6 * mark}M${cross.x} ${cross.y - 3 * mark}v${6 * mark}`}
          className="stroke-error"
          strokeWidth={0.3 * mark}
        />
      </svg>
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label="The photograph">
        <button type="button" className="btn btn-sm min-h-11" onClick={() => bring(NEARER, cross)}>
          <Plus size={16} aria-hidden="true" /> Nearer
        </button>
        <button type="button" className="btn btn-sm min-h-11" onClick={() => bring(1 / NEARER, cross)}>
          <Minus size={16} aria-hidden="true" /> Farther
        </button>
        <button
          type="button"
          className="btn btn-sm min-h-11"
          disabled={near === 1}
          onClick={() => setSight({ near: 1, middle: whole })}
        >
          <Scan size={16} aria-hidden="true" /> All of it
        </button>
        <p className="muted text-sm">Pull at it to move it about.</p>
      </div>
    </>
  );
}
