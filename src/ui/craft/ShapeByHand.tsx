'use client';

import { Fragment, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { drawLines, type Fineness, type LineDrawing } from '@/core/drawing/lineDrawing';
import type { Looks } from '@/core/drawing/look';
import { seenFrom, type Seen, type View } from '@/core/drawing/view';
import type { Vec3 } from '@/core/geometry/path';
import { distance, type Vec } from '@/core/geometry/vector';
import type { ChoiceHandle } from '@/core/plan/foundHandles';
import type { Pulled } from '@/core/plan/handles';
import { pulledBy, pulledSoFar, stepped, textsPulled, type Handle } from '@/core/plan/pulls';
import { textsOf, type Texts } from '@/core/parameter/readTexts';
import { formatLengthShort, mm } from '@/core/units/length';
import { placeOn } from './placeOn';
import { PlanDrawing } from './PlanDrawing';
import { Said } from '../house';
import { Reckoned, useLengths } from '../lengths';
import type { Shaped } from './useHandles';

/** A handle that is being pulled, or was just now. */
interface Pull {
  readonly handle: Handle;
  /** What it was worked out of; when that is another, the picture has followed. */
  readonly of: Shaped['of'];
  readonly to: readonly number[];
  readonly at: Vec3;
  readonly made: Pulled | undefined;
  readonly refusal: string;
  /** What a point was drawn to; empty when it lies where it was pulled. */
  readonly drawn: string;
  /** Where the hand took hold of it, from its middle; undefined when it was let go. */
  readonly held: Vec | undefined;
}

const STROKES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 1],
  ArrowUp: [1, -1],
  ArrowLeft: [-1, -1],
  ArrowDown: [-1, 1],
};
/** While one pulls it is drawn less finely: it is drawn anew with every move. */
const WHILE_PULLED: Fineness = { layer: 0.4, stray: 0.06 };

/** A point is drawn to what is nearer to it than such a part of its mark; with Alt held it stays where it is pulled. */
const DRAWN = 0.7;

/** Page up and Page down are so many strokes. */
const LEAP = 10;

const keyOf = ({ key, point }: Handle): string => (point === undefined ? key : `${key} ${point}`);

/** What a handle of a point is moved by keys: up and down is on along the line, right and left is to its right and left. */
function strokesOf({ key }: KeyboardEvent, { point }: Handle): readonly number[] | undefined {
  if (key === 'PageUp' || key === 'PageDown') return [key === 'PageUp' ? LEAP : -LEAP, 0];
  const strokes = STROKES[key];
  if (!strokes) return undefined;
  if (point === undefined) return [strokes[0]];
  return key === 'ArrowUp' || key === 'ArrowDown' ? [strokes[0], 0] : [0, strokes[0]];
}

/** The handles of a technique on its picture: pulled by mouse or finger, moved by keys; what it comes to is seen while one pulls. */
export function ShapeByHand({
  shaped: { of, values, shaping, handles, choices },
  name,
  marks,
  size,
  looks,
  view,
  box,
  onShape,
}: {
  readonly shaped: Shaped;
  /** What is shaped. */
  readonly name: string;
  /** Where each handle, and then each choice, stands on the picture while it is not pulled, and how large it is there. */
  readonly marks: readonly Vec[];
  readonly size: number;
  readonly looks: Looks;
  readonly view: View;
  readonly box: LineDrawing['box'];
  /** @param tag changes of one tag that follow each other are taken back together */
  readonly onShape: (texts: Texts, tag: string) => void;
}) {
  const { system } = useLengths();
  const picture = useRef<SVGSVGElement>(null);
  const [told, setPull] = useState<Pull>();
  // What was let go stays until the picture has followed.
  const pull = told && (told.held || told.of === of) ? told : undefined;
  // What it came to is said as long as the hand is on it.
  const said = pull ?? (told && handles.some((handle) => standsAt(handle, told)) ? told : undefined);
  const drawn = useMemo(
    () => pull?.made && { ...drawLines(pull.made.lines, [], view, WHILE_PULLED), box },
    [pull, view, box],
  );
  const pullTo = (handle: Handle, to: readonly number[], held: Vec | undefined, drawn = '') => {
    const made = shaping.pulled(handle, to);
    const next: Pull = made.ok
      ? { handle, of, to, at: made.value.at, made: made.value, refusal: '', drawn, held }
      : { ...(pull ?? standing(handle)), handle, of, refusal: made.error, drawn: '', held };
    setPull(next);
    return next;
  };
  const standing = (handle: Handle): Pull => ({
    handle,
    of,
    to: handle.pulls.map(({ value }) => value),
    at: handle.at,
    made: undefined,
    refusal: '',
    drawn: '',
    held: undefined,
  });
  /** A handle as it was pulled so far. */
  const nowOf = (handle: Handle): Pull => (isOf(pull, handle) ? pull : standing(handle));
  const keep = ({ handle, to, refusal }: Pull, tag: string) => {
    if (refusal === '') onShape(textsPulled(values, handle, to, system), tag);
  };
  const placeOf = (event: PointerEvent): Vec | undefined => placeOn(picture.current, event);
  const saidOf = (handle: Handle, to: readonly number[]): string =>
    to
      .map((value) =>
        handle.parameter.kind === 'count' ? String(value) : formatLengthShort(mm(value), system),
      )
      .join(', ');
  return (
    <>
      {drawn && (
        <div aria-hidden="true" className="pointer-events-none absolute inset-0 opacity-70">
          <PlanDrawing
            drawing={drawn}
            looks={looks}
            label="As it is pulled"
            className="h-full w-full overflow-visible"
          />
        </div>
      )}
      <svg
        ref={picture}
        role="group"
        aria-label={`Handles of ${name}`}
        viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
        className="no-print pointer-events-none absolute inset-0 h-full w-full overflow-visible text-primary"
        fill="none"
        stroke="currentColor"
        strokeWidth={size / 6}
        strokeLinejoin="round"
        strokeLinecap="round"
      >
        {handles.map((handle, index) => {
          const { to, at } = nowOf(handle);
          const [stood, stands] = seenFrom(view, [handle.at, at]) as [Seen, Seen];
          const mark = marks[index] ?? stood;
          const [x, y] = [mark.x + stands.x - stood.x, mark.y + stands.y - stood.y];
          const isAside = distance(mark, stood) > size;
          const canBePulled = pulledBy(handle, view, { x: 0, y: 0 }) !== undefined;
          return (
            <Fragment key={keyOf(handle)}>
              {isAside && <line x1={stands.x} y1={stands.y} x2={x} y2={y} strokeWidth={size / 10} />}
              <path
                ref={holdPage}
                d={`M${x - size} ${y}l${size} ${-size} ${size} ${size} ${-size} ${size}z`}
                role="slider"
                tabIndex={0}
                aria-label={handle.label}
                aria-valuemin={handle.pulls[0].from}
                aria-valuemax={handle.pulls[0].to}
                aria-valuenow={to[0] ?? 0}
                aria-valuetext={saidOf(handle, to)}
                className={`pointer-events-auto fill-base-100 outline-none! focus-visible:fill-primary ${canBePulled ? 'cursor-grab' : 'opacity-50'}`}
                onPointerDown={(event) => {
                  const at = placeOf(event);
                  if (!at || !canBePulled) return;
                  event.currentTarget.setPointerCapture(event.pointerId);
                  const now = nowOf(handle);
                  const seen = seenFrom(view, [now.at])[0] as Seen;
                  setPull({ ...now, held: { x: at.x - seen.x, y: at.y - seen.y } });
                }}
                onPointerMove={(event) => {
                  const at = placeOf(event);
                  if (!at || !isOf(pull, handle) || !pull.held) return;
                  const seen = seenFrom(view, [pull.at])[0] as Seen;
                  const to = pulledBy(pulledSoFar(handle, pull.to), view, {
                    x: at.x - pull.held.x - seen.x,
                    y: at.y - pull.held.y - seen.y,
                  });
                  if (!to?.some((value, of) => value !== pull.to[of])) return;
                  const isFlat = view === 'front' || view === 'back';
                  const drawn =
                    isFlat && !event.altKey ? shaping.drawnTo(handle, to, size * DRAWN) : undefined;
                  pullTo(handle, drawn?.to ?? to, pull.held, drawn?.said);
                }}
                onPointerUp={() => {
                  if (!isOf(pull, handle) || !pull.held) return;
                  const isOther = pull.to.some((value, which) => value !== handle.pulls[which]?.value);
                  if (isOther) keep(pull, '');
                  setPull(isOther && pull.refusal === '' ? { ...pull, held: undefined } : undefined);
                }}
                onPointerCancel={() => setPull(undefined)}
                onBlur={() => {
                  if (!pull?.held) setPull(undefined);
                }}
                onKeyDown={(event) => {
                  if (event.key === 'Escape') return setPull(undefined);
                  const strokes = strokesOf(event, handle);
                  if (!strokes) return;
                  event.preventDefault();
                  const to = stepped(pulledSoFar(handle, nowOf(handle).to), strokes);
                  keep(pullTo(handle, to, undefined), keyOf(handle));
                }}
              >
                <title>{`${handle.label}: ${saidOf(handle, to)}`}</title>
              </path>
            </Fragment>
          );
        })}
        {choices.map((choice, index) => (
          <ChoiceMark
            key={choice.key}
            choice={choice}
            stood={seenFrom(view, [choice.at])[0] as Seen}
            mark={marks[handles.length + index]}
            size={size}
            onTurn={({ key, parameter, next }) =>
              onShape(textsOf({ [key]: parameter }, { [key]: next }, system), '')
            }
          />
        ))}
      </svg>
      {said && (
        <output className="absolute top-0 left-0 max-w-[60%] bg-base-100/90 p-1 text-sm">
          <strong>
            {said.handle.label} <Said>{saidOf(said.handle, said.to)}</Said>
            {said.drawn && `, ${said.drawn}`}
          </strong>
          {said.refusal ? (
            <span className="block text-error">
              <Said>{said.refusal}</Said>
            </span>
          ) : (
            said.made?.cuts
              .filter(({ cut, was }) => Math.abs(cut - was) >= 0.05)
              .map(({ name: wire, cut, was }) => (
                <span key={wire} className="block">
                  {wire} <Reckoned of={mm(cut)} cut />, <Reckoned of={mm(Math.abs(cut - was))} />{' '}
                  {cut > was ? 'more' : 'less'}
                </span>
              ))
          )}
        </output>
      )}
    </>
  );
}

/** A choice on the picture: pressed, it becomes the next that can be made. */
function ChoiceMark({
  choice,
  stood,
  mark = stood,
  size,
  onTurn,
}: {
  readonly choice: ChoiceHandle;
  readonly stood: Vec;
  /** Where it stands when others lie where it does. */
  readonly mark: Vec | undefined;
  readonly size: number;
  readonly onTurn: (choice: ChoiceHandle) => void;
}) {
  const { parameter, now, next } = choice;
  const { x, y } = mark;
  const said = `${parameter.label}: ${now}; press for ${next}`;
  const [wide, half] = [size * 0.5, size * 0.25];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={said}
      className="group pointer-events-auto cursor-pointer outline-none!"
      onClick={() => onTurn(choice)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onTurn(choice);
      }}
    >
      {distance(mark, stood) > size && (
        <line x1={stood.x} y1={stood.y} x2={x} y2={y} strokeWidth={size / 10} />
      )}
      <circle cx={x} cy={y} r={size} className="fill-base-100 group-focus-visible:fill-primary/40" />
      {/* Two arrows, one each way. */}
      <path
        d={`M${x - wide} ${y - half}h${2 * wide}l${-half} ${-half}M${x + wide} ${y + half}h${-2 * wide}l${half} ${half}`}
      />
      <title>{said}</title>
    </g>
  );
}

/** A finger on a handle does not move the page: inside of a picture `touch-action` says nothing to browsers, and React listens too late to stop it. */
function holdPage(handle: SVGElement | null): () => void {
  const hold = (event: TouchEvent) => event.preventDefault();
  handle?.addEventListener('touchstart', hold, { passive: false });
  return () => handle?.removeEventListener('touchstart', hold);
}

/** Whether a handle has come to stand where it was pulled to. */
const standsAt = (handle: Handle, { handle: pulled, to }: Pull): boolean =>
  keyOf(handle) === keyOf(pulled) &&
  handle.pulls.every(({ value }, which) => Math.abs(value - (to[which] ?? NaN)) < 1e-6);

const isOf = (pull: Pull | undefined, handle: Handle): pull is Pull =>
  pull !== undefined && keyOf(pull.handle) === keyOf(handle);
