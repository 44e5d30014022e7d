'use client';

import { useEffect, useState } from 'react';
import { plus, scaled, type Vec } from '@/core/geometry/vector';
import { OUTLINE_POINTS, printPoints } from '@/core/outline/points';
import { traceOutline } from '@/core/outline/trace';
import type { Texts } from '@/core/technique/readTexts';
import { parseLength, UM_PER_MM } from '@/core/units/length';
import { Dialog } from '../Dialog';
import { Field, TextInput } from '../form/Field';
import { useLengths } from '../lengths';

interface TraceStoneProps {
  /** Name of the stone’s parameter. */
  readonly name: string;
  readonly onTraced: (texts: Texts) => void;
}

/** Traces a freeform stone over a photograph of it, beside something whose length is known. */
export function TraceStone({ name, onTraced }: TraceStoneProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn btn-sm min-h-11" onClick={() => setOpen(true)}>
        Trace it over a photograph
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} label="Trace a stone over a photograph">
        <Tracing
          name={name}
          onTraced={(texts) => {
            onTraced(texts);
            setOpen(false);
          }}
        />
      </Dialog>
    </>
  );
}

/** The photograph’s own width and height, in the units that points are set in: its width is 100. */
const ACROSS = 100;
/** How far an arrow key moves the cross, and with shift. */
const STEP = { far: 2, near: 0.4 } as const;
const ARROWS: Readonly<Record<string, Vec>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

function Tracing({ name, onTraced }: TraceStoneProps) {
  const { system } = useLengths();
  const [photo, setPhoto] = useState<{ readonly url: string; readonly high: number }>();
  const [known, setKnown] = useState('');
  const [set, setSet] = useState<readonly Vec[]>([]);
  const [cross, setCross] = useState<Vec>({ x: ACROSS / 2, y: ACROSS / 2 });
  const [problem, setProblem] = useState('');
  useEffect(() => () => (photo ? URL.revokeObjectURL(photo.url) : undefined), [photo]);

  const load = (file: File | undefined) => {
    if (!file) return;
    const url = URL.createObjectURL(file);
    const image = new Image();
    image.onload = () => {
      setPhoto({ url, high: (ACROSS * image.naturalHeight) / image.naturalWidth });
      setSet([]);
      setProblem('');
    };
    image.onerror = () => {
      URL.revokeObjectURL(url);
      setProblem('This file is no picture that the browser can show.');
    };
    image.src = url;
  };
  const place = (point: Vec) => setSet([...set, point]);
  const [from, to, ...points] = set;
  const take = () => {
    const length = parseLength(known, system);
    if (!length.ok) return setProblem(length.error);
    if (!from || !to) return setProblem('Set the two ends of the known length first.');
    const traced = traceOutline(points, { from, to, length: length.value / UM_PER_MM });
    if (!traced.ok) return setProblem(traced.error);
    const { points: outline, length: long, width } = traced.value;
    onTraced({
      [`${name}.outline`]: 'freeform',
      [`${name}.points`]: printPoints(outline),
      [`${name}.length`]: `${long} mm`,
      [`${name}.width`]: `${width} mm`,
      [`${name}.strip`]: '',
    });
  };
  return (
    <div className="space-y-3">
      <input
        type="file"
        accept="image/*"
        aria-label="Photograph of the stone"
        className="file-input w-full"
        onChange={(event) => load(event.target.files?.[0])}
      />
      {photo && (
        <>
          <Field
            label="Known length"
            hint="Of something in the picture: a ruler, or the stone by the calliper"
          >
            {(ties) => (
              <TextInput {...ties} value={known} onChange={(event) => setKnown(event.target.value)} />
            )}
          </Field>
          <p className="text-sm" aria-live="polite">
            {set.length < 2
              ? `Set end ${set.length + 1} of the known length: click, or move the cross with the arrow keys and press Enter.`
              : `Now go round the stone: ${points.length} ${points.length === 1 ? 'point' : 'points'} set, ${OUTLINE_POINTS.least} at least; more where it bends.`}
          </p>
          <Picture photo={photo} set={set} cross={cross} onCross={setCross} onPlace={place} />
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn"
              disabled={set.length === 0}
              onClick={() => setSet(set.slice(0, -1))}
            >
              Take the last point back
            </button>
            <button type="button" className="btn btn-primary" onClick={take}>
              Take the outline over
            </button>
          </div>
        </>
      )}
      <div aria-live="assertive">
        {problem && (
          <p role="alert" className="font-semibold text-error">
            {problem}
          </p>
        )}
      </div>
    </div>
  );
}

/** The photograph with what was set on it. */
function Picture({
  photo,
  set,
  cross,
  onCross,
  onPlace,
}: {
  photo: { readonly url: string; readonly high: number };
  set: readonly Vec[];
  cross: Vec;
  onCross: (cross: Vec) => void;
  onPlace: (point: Vec) => void;
}) {
  const [from, to, ...points] = set;
  const onKeyDown = (event: React.KeyboardEvent) => {
    const way = ARROWS[event.key];
    if (way) onCross(plus(cross, scaled(way, event.shiftKey ? STEP.near : STEP.far)));
    else if (event.key === 'Enter') onPlace(cross);
    else return;
    event.preventDefault();
  };
  const onClick = (event: React.MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const point = {
      x: ((event.clientX - box.left) / box.width) * ACROSS,
      y: ((event.clientY - box.top) / box.height) * photo.high,
    };
    onCross(point);
    onPlace(point);
  };
  return (
    <svg
      role="application"
      aria-label="Photograph to trace on"
      tabIndex={0}
      viewBox={`0 0 ${ACROSS} ${photo.high}`}
      className="block w-full cursor-crosshair border border-base-300"
      onClick={onClick}
      onKeyDown={onKeyDown}
    >
      <image href={photo.url} width={ACROSS} height={photo.high} />
      {from && to && (
        <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} className="stroke-primary" strokeWidth="0.6" />
      )}
      {points.length > 1 && (
        <polygon
          points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
          className="fill-primary/20 stroke-primary"
          strokeWidth="0.4"
        />
      )}
      {set.map((point, index) => (
        <circle
          key={index}
          cx={point.x}
          cy={point.y}
          r="0.8"
          className="fill-base-100 stroke-primary"
          strokeWidth="0.4"
        />
      ))}
      <path
        d={`M${cross.x - 3} ${cross.y}h6M${cross.x} ${cross.y - 3}v6`}
        className="stroke-error"
        strokeWidth="0.3"
      />
    </svg>
  );
}
