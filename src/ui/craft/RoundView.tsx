'use client';

import { useCallback, useEffect, useId, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Looks } from '@/core/drawing/look';
import { ON_A_SCREEN } from '@/core/drawing/mesh';
import { solidsOf } from '@/core/drawing/solids';
import type { RunPiece } from '@/core/piece/run';
import { hasWebGl, RoundScene, type Turn } from './roundScene';

/** Degrees that a key turns the piece by, and a point on the screen that a finger moves. */
const [BY_KEY, BY_POINT] = [15, 0.5];
const [NEAREST, BY_STEP] = [6, 1.25];

const SIDES: Readonly<Record<string, Turn>> = {
  front: { about: 0, tipped: 0 },
  back: { about: 180, tipped: 0 },
  side: { about: -90, tipped: 0 },
};

const KEYS: Readonly<Record<string, Turn>> = {
  ArrowLeft: { about: -BY_KEY, tipped: 0 },
  ArrowRight: { about: BY_KEY, tipped: 0 },
  ArrowUp: { about: 0, tipped: -BY_KEY },
  ArrowDown: { about: 0, tipped: BY_KEY },
};

const turnedBy = ({ about, tipped }: Turn, by: Turn): Turn => ({
  about: ((((about + by.about + 180) % 360) + 360) % 360) - 180,
  tipped: Math.max(-90, Math.min(90, tipped + by.tipped)),
});

/** How a piece stands before the eye, in words. */
function saidTurn({ about, tipped }: Turn): string {
  const side = Object.entries(SIDES).find(([, each]) => {
    const off = Math.abs(turnedBy({ about, tipped: 0 }, { about: -each.about, tipped: 0 }).about);
    return off < 1 && Math.abs(tipped) < 1;
  });
  if (side) return `from the ${side[0]}`;
  const [round, over] = [Math.round(about), Math.round(tipped)];
  return `turned ${Math.abs(round)}° to the ${round < 0 ? 'left' : 'right'}${over === 0 ? '' : `, tipped ${Math.abs(over)}° ${over > 0 ? 'towards you' : 'away from you'}`}`;
}

/** A piece in the round: turned by mouse, finger and keys. @param still what stands there where the browser has no WebGL */
export default function RoundView({
  run,
  looks,
  label,
  className,
  still,
}: {
  run: RunPiece;
  looks: Looks;
  label: string;
  className: string;
  still: ReactNode;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<RoundScene>(null);
  const [turn, setTurn] = useState<Turn>({ about: -30, tipped: 12 });
  const [nearer, setNearer] = useState(1);
  const [isThere] = useState(hasWebGl);
  const hint = useId();
  const solids = useMemo(() => solidsOf(run, looks, ON_A_SCREEN), [run, looks]);

  const draw = useCallback(() => {
    const { clientWidth = 0, clientHeight = 0 } = canvas.current ?? {};
    scene.current?.draw(turn, nearer, clientWidth, clientHeight, Math.min(2, window.devicePixelRatio));
  }, [turn, nearer]);
  const drawNow = useRef(draw);

  useEffect(() => {
    if (!canvas.current) return undefined;
    scene.current = new RoundScene(canvas.current, solids);
    drawNow.current();
    return () => {
      scene.current?.dispose();
      scene.current = null;
    };
  }, [solids]);

  useEffect(() => {
    drawNow.current = draw;
    const asked = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(asked);
  }, [draw, solids]);

  useEffect(() => {
    if (!canvas.current) return undefined;
    const watch = new ResizeObserver(() => drawNow.current());
    watch.observe(canvas.current);
    return () => watch.disconnect();
  }, []);

  const zoom = (by: number) => setNearer((now) => Math.max(1, Math.min(NEAREST, now * by)));

  if (!isThere)
    return (
      <>
        {still}
        <p className="muted mt-1 text-sm">
          This browser cannot turn it in the round: it has no WebGL, or it is switched off.
        </p>
      </>
    );
  return (
    <>
      <canvas
        ref={canvas}
        role="img"
        tabIndex={0}
        aria-label={`${label}, in the round, ${saidTurn(turn)}`}
        aria-describedby={hint}
        className={`mx-auto block max-w-2xl cursor-grab touch-none active:cursor-grabbing ${className}`}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={(event) => {
          if (event.currentTarget.hasPointerCapture(event.pointerId))
            setTurn((now) =>
              turnedBy(now, { about: BY_POINT * event.movementX, tipped: BY_POINT * event.movementY }),
            );
        }}
        onKeyDown={(event) => {
          const by = KEYS[event.key];
          if (by) setTurn((now) => turnedBy(now, by));
          else if (event.key === '+' || event.key === '=') zoom(BY_STEP);
          else if (event.key === '-') zoom(1 / BY_STEP);
          else return;
          event.preventDefault();
        }}
      />
      <p id={hint} className="muted text-sm">
        Turn it with a finger, the mouse or the arrow keys; + and − bring it nearer.
      </p>
      <div className="no-print mt-1 flex flex-wrap gap-2" role="group" aria-label="Turn it to its">
        {Object.entries(SIDES).map(([side, to]) => (
          <button key={side} type="button" className="btn btn-sm min-h-11" onClick={() => setTurn(to)}>
            {side}
          </button>
        ))}
        <button
          type="button"
          className="btn btn-sm min-h-11"
          aria-label="nearer"
          onClick={() => zoom(BY_STEP)}
        >
          +
        </button>
        <button
          type="button"
          className="btn btn-sm min-h-11"
          aria-label="farther"
          onClick={() => zoom(1 / BY_STEP)}
        >
          −
        </button>
      </div>
    </>
  );
}
