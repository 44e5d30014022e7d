'use client';

import { useEffect, useState } from 'react';
import type { Vec } from '@/core/geometry/vector';
import { OUTLINE_POINTS, printPoints } from '@/core/outline/points';
import { acrossRound } from '@/core/outline/roundScale';
import { smoothed } from '@/core/outline/smoothed';
import { traceOutline, type PhotoScale } from '@/core/outline/trace';
import { refuse, type Result } from '@/core/result';
import type { Texts } from '@/core/parameter/readTexts';
import { parseLength, UM_PER_MM } from '@/core/units/length';
import { Field, TextInput } from '../form/Field';
import { Tick } from '../form/Tick';
import { useLengths } from '../lengths';
import { onEdge, photoFrom, type TracedPhoto } from './tracedPhoto';
import { TracePicture } from './TracePicture';

export interface TraceStoneProps {
  /** Name of the stone’s parameter. */
  readonly name: string;
  readonly onTraced: (texts: Texts) => void;
}

/** What the size of the photograph is known by. */
const SCALES = {
  length: {
    said: 'a length, by its two ends',
    label: 'Known length',
    hint: 'Of a ruler in the picture, or of the stone by the calliper',
    places: 2,
  },
  round: {
    said: 'something round, by its rim',
    label: 'How far it is across',
    hint: 'Of a coin or a washer beside the stone, by the calliper',
    places: 3,
  },
} as const;
type ScaleBy = keyof typeof SCALES;

/** The known length, from what was set of it. */
function scaleOf(by: ScaleBy, set: readonly Vec[], length: number): Result<PhotoScale> {
  const [first, second, third] = set;
  if (by === 'length')
    return first && second
      ? { ok: true, value: { from: first, to: second, length } }
      : refuse('Set the two ends of the known length first.');
  if (!first || !second || !third) return refuse('Set three places on the rim of what is round first.');
  const across = acrossRound([first, second, third]);
  return across.ok ? { ok: true, value: { ...across.value, length } } : across;
}

/** Traces a stone over a photograph: what is known of its size, and its outline. */
export function Tracing({ name, onTraced, onLeave }: TraceStoneProps & { readonly onLeave: () => void }) {
  const { system } = useLengths();
  const [photo, setPhoto] = useState<TracedPhoto>();
  const [by, setBy] = useState<ScaleBy>('length');
  const [known, setKnown] = useState('');
  const [set, setSet] = useState<readonly Vec[]>([]);
  const [isDrawn, setDrawn] = useState(true);
  const [isSmooth, setSmooth] = useState(false);
  const [problem, setProblem] = useState('');
  const [wrongLength, setWrongLength] = useState('');
  useEffect(() => () => (photo ? URL.revokeObjectURL(photo.url) : undefined), [photo]);

  const load = (file: File | undefined) => {
    if (!file) return;
    photoFrom(file).then(
      (loaded) => {
        setPhoto(loaded);
        setSet([]);
        setProblem('');
      },
      () => setProblem('This file is no picture that the browser can show.'),
    );
  };
  const { places, label, hint } = SCALES[by];
  const [scale, points] = [set.slice(0, places), set.slice(places)];
  const outline = isSmooth ? smoothed(points) : points;
  const place = (point: Vec) =>
    setSet((before) => [
      ...before,
      // What is round is set on its edge as the stone is; the marks of a ruler lie beside many another.
      photo && isDrawn && (by === 'round' || before.length >= places) ? onEdge(photo, point) : point,
    ]);
  const takeBack = () => setSet((before) => before.slice(0, -1));
  const take = () => {
    const length = parseLength(known, system);
    setWrongLength(length.ok ? '' : length.error);
    if (!length.ok) return;
    const scaled = scaleOf(by, scale, length.value / UM_PER_MM);
    if (!scaled.ok) return setProblem(scaled.error);
    const traced = traceOutline(outline, scaled.value);
    if (!traced.ok) return setProblem(traced.error);
    const { points: line, length: long, width } = traced.value;
    onTraced({
      [`${name}.outline`]: 'freeform',
      [`${name}.points`]: printPoints(line),
      [`${name}.length`]: `${long} mm`,
      [`${name}.width`]: `${width} mm`,
      [`${name}.strip`]: '',
    });
  };
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_19rem] lg:grid-rows-[auto_1fr]">
        <div className={`space-y-3 ${photo ? 'lg:col-start-2' : 'lg:col-span-2'}`}>
          <input
            type="file"
            accept="image/*"
            aria-label="Photograph of the stone"
            className="file-input w-full"
            onChange={(event) => load(event.target.files?.[0])}
          />
          {photo && (
            <>
              <Field label="Its scale is known by">
                {(ties) => (
                  <select
                    {...ties}
                    className="select w-full text-base"
                    value={by}
                    onChange={({ target }) => {
                      setBy(target.value as ScaleBy);
                      setSet([]);
                    }}
                  >
                    {Object.entries(SCALES).map(([each, { said }]) => (
                      <option key={each} value={each}>
                        {said}
                      </option>
                    ))}
                  </select>
                )}
              </Field>
              <Field label={label} hint={hint} error={wrongLength}>
                {(ties) => (
                  <TextInput {...ties} value={known} onChange={(event) => setKnown(event.target.value)} />
                )}
              </Field>
            </>
          )}
        </div>
        {photo && (
          <div className="min-w-0 space-y-2 lg:col-start-1 lg:row-span-2 lg:row-start-1">
            <p className="text-sm" aria-live="polite">
              {set.length < places
                ? `Set ${by === 'length' ? 'end' : 'place'} ${set.length + 1} of ${by === 'length' ? 'the known length' : 'three on the rim'}: click, or move the cross with the arrow keys and press Enter.`
                : `Now go round the stone: ${points.length} ${points.length === 1 ? 'point' : 'points'} set, ${OUTLINE_POINTS.least} at least; more where it bends.`}
            </p>
            <TracePicture
              key={photo.url}
              photo={photo}
              scale={scale}
              points={outline}
              onPlace={place}
              onTakeBack={takeBack}
            />
          </div>
        )}
        <div className="space-y-3 lg:col-start-2">
          {photo && (
            <>
              <Tick checked={isDrawn} onChange={setDrawn}>
                Draw points to the edge that is near
              </Tick>
              <Tick checked={isSmooth} onChange={setSmooth}>
                Smooth out the tremble of the hand
              </Tick>
            </>
          )}
          <div aria-live="assertive">
            {problem && (
              <p role="alert" className="font-semibold text-error">
                {problem}
              </p>
            )}
          </div>
          <div className="flex flex-wrap gap-2">
            {photo && (
              <>
                <button type="button" className="btn" disabled={set.length === 0} onClick={takeBack}>
                  Take the last point back
                </button>
                <button type="button" className="btn btn-primary" onClick={take}>
                  Take the outline over
                </button>
              </>
            )}
            <button type="button" className="btn" onClick={onLeave}>
              Leave it
            </button>
          </div>
        </div>
      </div>
    </div>
  );
}
