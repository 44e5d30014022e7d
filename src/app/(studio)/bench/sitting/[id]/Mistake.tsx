'use client';

import { useState } from 'react';
import { isLost, pieceIn, wireKey, type PieceSoFar, type Said, type Sitting } from '@/core/bench/sitting';
import { stillDoesFor } from '@/core/bench/stillDoesFor';
import { wantedCuts, type WantedCut } from '@/core/pattern/pattern';
import { um, type Micrometres } from '@/core/units/length';
import { REASONS } from '@/ui/craft/SpoilageReasons';
import { Reckoned } from '@/ui/lengths';
import type { ShownSitting } from './shown';
import { TooShort } from './TooShort';

/** The piece as a whole, where one chooses what a mistake cost. */
const ALL = 'all';

/** The reason that a wire may still do for all the same. */
const TOO_SHORT: (typeof REASONS)[number] = 'cut too short';

/** One of a part, where one chooses. */
const partValue = (part: number): string => `part ${part}`;

/** Whether nothing is told of mistakes on a piece. */
const isSpotless = ({ lost, lostWires, lostParts, shorterWires }: PieceSoFar): boolean =>
  lost === '' && lostWires.length + lostParts.length + shorterWires.length === 0;

/** Something went wrong on a piece: a wire of it, or all of it, is lost in two touches; it can be taken back. */
export function Mistake({
  view,
  piece,
  sitting,
  inHand,
  say,
}: {
  view: ShownSitting['view'];
  piece: number;
  sitting: Sitting;
  /** The wire that is worked, by its key; undefined when it is not known. */
  inHand: string | undefined;
  say: (...said: readonly Said[]) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const wires = wantedCuts(view);
  const [chosen, choose] = useState<string>();
  const what = chosen ?? inHand ?? (wires[0] ? wireKey(wires[0]) : ALL);
  const so = pieceIn(sitting, piece);
  const lostPart = view.parts.findIndex((_, part) => partValue(part) === what);
  const meant = view.pieces.find((each) => each.piece === piece)?.wires ?? [];
  /** How long a wire is cut for this piece. */
  const cutTo = (wire: WantedCut): Micrometres =>
    meant.find((each) => wireKey(each) === wireKey(wire))?.length ?? wire.length;
  const spoil = (reason: string) => {
    const wire = wires.find((each) => wireKey(each) === what);
    if (wire) {
      const { cutIndex, copy } = wire;
      const before = so.lostWires.find((each) => wireKey(each) === what)?.length ?? 0;
      say({ kind: 'spoiled', piece, cutIndex, copy, length: um(before + cutTo(wire)), reason });
    } else if (lostPart >= 0) {
      const before = so.lostParts.find(({ part }) => part === lostPart)?.count ?? 0;
      say({ kind: 'broke', piece, part: lostPart, count: before + 1, reason });
    } else say({ kind: 'lost', piece, reason });
    setOpen(false);
  };
  return (
    <section className={`leaf p-4 ${isSpotless(so) ? 'no-print' : ''}`} aria-label="Mistakes">
      {so.lost !== '' && (
        <p className="flex flex-wrap items-center gap-3 font-semibold">
          This piece is lost: {so.lost}.
          <button type="button" className="btn" onClick={() => say({ kind: 'lost', piece, reason: '' })}>
            It is not
          </button>
        </p>
      )}
      {so.lostWires.map((lost) => {
        const wire = wires.find((each) => wireKey(each) === wireKey(lost));
        const others = wire ? stillDoesFor(lost, view.cuts) : [];
        const { cutIndex, copy } = lost;
        return (
          <div key={wireKey(lost)} className="mb-2">
            <p className="font-semibold">
              {wire?.name}: <Reckoned of={lost.length} /> lost, {lost.reason}. Cut another
              {wire && (
                <>
                  {' '}
                  of <Reckoned of={cutTo(wire)} cut />
                </>
              )}
              .
            </p>
            {others.length > 0 && (
              <p className="muted">What is straight of it may still do for: {others.join(', ')}.</p>
            )}
            <button
              type="button"
              className="btn mt-1"
              onClick={() => say({ kind: 'spoiled', piece, cutIndex, copy, length: um(0), reason: '' })}
            >
              It was not lost
            </button>
            {wire && lost.reason === TOO_SHORT && (
              <TooShort
                sitting={view.id}
                wire={wire}
                onKept={(length, does) =>
                  say(
                    {
                      kind: 'spoiled',
                      piece,
                      cutIndex,
                      copy,
                      length: um(Math.max(0, lost.length - cutTo(wire))),
                      reason: lost.reason,
                    },
                    { kind: 'shorter', piece, cutIndex, copy, length, does },
                  )
                }
              />
            )}
          </div>
        );
      })}
      {so.shorterWires.map(({ cutIndex, copy, length, does }) => (
        <p key={wireKey({ cutIndex, copy })} className="mb-2 flex flex-wrap items-center gap-3 font-semibold">
          <span>
            {view.cuts[cutIndex]?.name}: kept at <Reckoned of={length} />. {does}.
          </span>
          <button
            type="button"
            className="btn"
            onClick={() => say({ kind: 'shorter', piece, cutIndex, copy, length: um(0), does: '' })}
          >
            It was not kept
          </button>
        </p>
      ))}
      {so.lostParts.map(({ part, count, reason }) => (
        <p key={part} className="mb-2 flex flex-wrap items-center gap-3 font-semibold">
          {count} × {view.parts[part]?.name} lost, {reason}: take another.
          <button
            type="button"
            className="btn"
            onClick={() => say({ kind: 'broke', piece, part, count: 0, reason: '' })}
          >
            It was not lost
          </button>
        </p>
      ))}
      <button
        type="button"
        className="btn min-h-14 w-full text-xl"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        Something went wrong
      </button>
      {isOpen && !isLost(sitting, piece) && (
        <div className="mt-3 space-y-3">
          <label className="block">
            <span className="text-sm font-semibold">What is lost</span>
            <select
              className="select w-full text-lg"
              value={what}
              onChange={({ target }) => choose(target.value)}
            >
              {wires.map((wire) => (
                <option key={wireKey(wire)} value={wireKey(wire)}>
                  {wire.name}
                </option>
              ))}
              {view.parts.map(({ name }, part) => (
                <option key={partValue(part)} value={partValue(part)}>
                  one {name}
                </option>
              ))}
              <option value={ALL}>the whole piece</option>
            </select>
          </label>
          <div className="grid grid-cols-2 gap-2" role="group" aria-label="Why">
            {REASONS.map((reason) => (
              <button key={reason} type="button" className="btn min-h-14" onClick={() => spoil(reason)}>
                {reason}
              </button>
            ))}
          </div>
        </div>
      )}
    </section>
  );
}
