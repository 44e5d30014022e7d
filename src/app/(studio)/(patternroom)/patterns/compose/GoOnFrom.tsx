'use client';

import type { ReactNode } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { seenFrom, type Seen, type View } from '@/core/drawing/view';
import { distance, type Vec } from '@/core/geometry/vector';
import type { PlaceLeft } from '@/core/pattern/placesLeft';
import { formatLengthShort, mm } from '@/core/units/length';
import { Fold } from '@/ui/Fold';
import { Length, useLengths } from '@/ui/lengths';

interface Picking {
  readonly places: readonly PlaceLeft[];
  /** References of what was picked. */
  readonly picked: readonly string[];
  readonly onPick: (ref: string) => void;
}

/** What it is found by on the page; of several pieces the first. */
export const GO_ON = 'data-go-on';

/** So much of what a finger hits is seen. */
const SEEN = 0.75;

const isEnd = ({ offer }: PlaceLeft): boolean => offer.takes === 'end';

/** What is marked on the picture: ends, and whatever else was picked. */
export const markedOf = (places: readonly PlaceLeft[], picked: readonly string[]): readonly PlaceLeft[] =>
  places.filter((each) => isEnd(each) || picked.includes(each.offer.ref));

/** The ends of a piece on its picture, to be picked by mouse or finger; what is picked is marked as it lies. Keys pick by name, below. */
export function PlacesMarked({
  places,
  marks,
  radius,
  picked,
  onPick,
  view,
  box,
}: Picking & {
  /** Where the mark of each stands on the picture. */
  readonly marks: readonly Vec[];
  readonly radius: number;
  readonly view: View;
  readonly box: LineDrawing['box'];
}) {
  const { system } = useLengths();
  return (
    <svg
      aria-hidden="true"
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className="pointer-events-none absolute inset-0 h-full w-full overflow-visible text-primary"
      fill="none"
      stroke="currentColor"
      strokeWidth={radius / 6}
      strokeLinecap="round"
    >
      {places.map((place, index) => {
        const { ref } = place.offer;
        const isPicked = picked.includes(ref);
        const line = seenFrom(view, place.line);
        const [at] = seenFrom(view, [place.at]) as [Seen];
        const mark = marks[index];
        return (
          <g key={ref}>
            {isPicked && !isEnd(place) && (
              <polyline points={line.map(({ x, y }) => `${x},${y}`).join(' ')} strokeWidth={radius / 2} />
            )}
            {mark && distance(mark, at) > radius && (
              <line x1={at.x} y1={at.y} x2={mark.x} y2={mark.y} strokeWidth={radius / 10} />
            )}
            <circle
              cx={mark?.x}
              cy={mark?.y}
              r={radius * SEEN}
              fill="currentColor"
              fillOpacity={isPicked ? 0.7 : 0.1}
            />
            <circle
              cx={mark?.x}
              cy={mark?.y}
              r={radius}
              className="pointer-events-auto cursor-pointer"
              fill="transparent"
              stroke="none"
              onClick={() => onPick(ref)}
            >
              <title>
                {place.left !== undefined && place.left > 0
                  ? `${place.offer.label} · ${formatLengthShort(mm(place.left), system)} free`
                  : place.offer.label}
              </title>
            </circle>
          </g>
        );
      })}
    </svg>
  );
}

function Chips({ places, picked, onPick }: Picking) {
  return (
    <div className="flex flex-wrap gap-2">
      {places.map(({ offer: { ref, label }, left, cut }) => (
        <button
          key={ref}
          type="button"
          aria-pressed={picked.includes(ref)}
          className={`btn btn-sm h-auto min-h-11 py-1 font-normal ${picked.includes(ref) ? 'btn-primary' : ''}`}
          onClick={() => onPick(ref)}
        >
          <span>
            {label}
            {left !== undefined && left > 0 && (
              <>
                {' '}
                · <Length of={mm(left)} short /> free
              </>
            )}
            {left !== undefined && cut !== undefined && (
              <progress aria-hidden="true" className="progress mt-0.5 block h-1" value={left} max={cut} />
            )}
          </span>
        </button>
      ))}
    </div>
  );
}

/** What the piece leaves to go on from, by name: pick one or several, then say what they do next. */
export function GoOnFrom({
  places,
  picked,
  onPick,
  children,
}: Picking & {
  /** What is asked of what was picked. */
  readonly children: ReactNode;
}) {
  const ends = places.filter(isEnd);
  const others = places.filter((each) => !isEnd(each));
  if (places.length === 0) return null;
  return (
    <section {...{ [GO_ON]: true }} aria-label="Go on from" className="leaf px-4 py-3">
      <h3>Go on from</h3>
      <p className="muted text-sm">
        Pick ends, here or on the picture; then say what they do next, each or together.
      </p>
      <div className="mt-2">
        <Chips places={ends} picked={picked} onPick={onPick} />
      </div>
      {others.length > 0 && (
        <Fold title={`Whole wires and stretches of wires (${others.length})`}>
          <Chips places={others} picked={picked} onPick={onPick} />
        </Fold>
      )}
      {children}
    </section>
  );
}
