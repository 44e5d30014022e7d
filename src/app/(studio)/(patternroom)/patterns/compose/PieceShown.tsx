'use client';

import { memo, useCallback, useMemo, useState } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { spread } from '@/core/drawing/spread';
import { seenFrom, type View } from '@/core/drawing/view';
import type { Path, Vec3 } from '@/core/geometry/path';
import { isRing, type DrawnPart } from '@/core/pattern/drawnParts';
import { hangingOf, saidHanging } from '@/core/pattern/hangs';
import { looksOf } from '@/core/pattern/looksOf';
import { linesOfUse, type Remark } from '@/core/pattern/remark';
import type { ResolvedUse } from '@/core/pattern/resolve';
import { namedApart } from '@/core/pattern/namedApart';
import { placesLeft } from '@/core/pattern/placesLeft';
import type { Offer } from '@/core/technique/joinActs';
import type { Texts } from '@/core/technique/readTexts';
import type { GoingOn } from '@/core/technique/takesFor';
import { PieceHangs } from '@/ui/craft/PieceHangs';
import { PlanViews } from '@/ui/craft/PlanViews';
import { CHECKS, Remarks, TOUCHES, type Showing } from '@/ui/craft/Remarks';
import { usePieceSaid } from '@/ui/craft/usePieceSaid';
import { asItHangs, LetHang } from './asItHangs';
import { GoOnFrom, markedOf, PlacesMarked } from './GoOnFrom';
import { NextAct } from './NextAct';
import { PlacesShown } from './PlacesShown';
import { ShapeByHand } from './ShapeByHand';
import { useHandles } from './useHandles';
import { useTrial } from './useTrial';
import type { Work } from './work';

interface PieceShownProps {
  readonly part: DrawnPart;
  readonly work: Work;
  /** What was picked to go on from, of all pieces. */
  readonly picked: readonly Offer[];
  /** Techniques that go on from that. */
  readonly able: readonly GoingOn[];
  readonly onPick: (ref: string) => void;
  readonly onLetGo: () => void;
  readonly onTake: (id: string) => void;
  /** @param tag changes of one tag that follow each other are taken back together */
  readonly onShape: (use: string, texts: Texts, tag: string) => void;
  /** The technique that a judgement is of that is shown on the picture. */
  readonly pointed: string | undefined;
}

/** A piece that is being composed, large: one goes on from it, and shapes it by hand. It stays in view while its techniques are worked on. */
export const PieceShown = memo(function PieceShown({
  part,
  work,
  picked,
  able,
  onPick,
  onLetGo,
  onTake,
  onShape,
  pointed,
}: PieceShownProps) {
  const { resolved, atHand, parts } = work;
  const looks = useMemo(() => looksOf(part, atHand.specs, parts), [part, atHand, parts]);
  const said = usePieceSaid(part.piece ?? {});
  const own = useMemo(
    () => (part.plan.run ? placesLeft(resolved.left, [{ run: part.plan.run }]) : []),
    [resolved, part],
  );
  const { piece } = part;
  const hang = piece?.hang;
  const hangs = useMemo(() => piece && hangingOf(piece, looks), [piece, looks]);
  const hanging = useMemo(() => hang && hangs && asItHangs(hang, hangs), [hang, hangs]);
  const [isLetToHang, letHang] = useState(false);
  const hung = isLetToHang ? hanging : undefined;
  const plan = useMemo(() => (hung ? hung.hung(part.plan) : part.plan), [part, hung]);
  const [remark, setRemark] = useState<Remark>();
  const showing: Showing = { shown: remark, show: setRemark };
  // What is shown follows the piece: it is what is said of it now, and nothing when that is not said any more.
  const shownAt = useMemo(() => {
    const now = [...(said?.checks ?? NOTHING), ...(said?.touches ?? NOTHING)];
    const hung = hangs && hang ? [{ said: saidHanging(hangs), at: [hang, hangs.middle] }] : [];
    return [...now, ...hung].find((each) => each.said === remark?.said)?.at ?? NOWHERE;
  }, [said, hangs, hang, remark]);
  const pointedAt = useMemo(
    () => (piece && pointed !== undefined ? linesOfUse(piece, pointed) : NO_LINES),
    [piece, pointed],
  );
  const refs = useMemo(() => picked.map(({ ref }) => ref), [picked]);
  const isAsked = picked.some(({ ref }) => own.some(({ offer }) => offer.ref === ref));
  const { trying, trial, onTry, onStop } = useTrial(work, picked, isAsked ? able : NONE);
  const ghost = useMemo(() => {
    const become = trial?.refusal === '' ? trial.part : undefined;
    return become && { plan: become.plan, looks: looksOf(become, atHand.specs, parts) };
  }, [trial, atHand, parts]);

  const uses = part.uses.map(({ use }) => use);
  const last = uses.at(-1)?.id ?? '';
  const [shaping, setShaping] = useState('');
  // What was just taken is what the hand is on.
  const [takenAfter, setTakenAfter] = useState<string>();
  if (takenAfter !== undefined && takenAfter !== last) {
    setTakenAfter(undefined);
    setShaping(last);
  }
  const shaped = useHandles(resolved, shaping);
  const name = uses.find(({ id }) => id === shaping)?.name ?? '';
  const over = useCallback(
    (view: View, box: LineDrawing['box']) => {
      const radius = Math.max(box.width, box.height) / MARK;
      const marked = markedOf(own, refs);
      const handles = shaped?.handles ?? [];
      // All of them together: a handle stands beside an end that lies where it does.
      const marks = spread(
        seenFrom(
          view,
          [...marked, ...handles].map(({ at }) => at),
        ),
        radius,
      );
      return (
        <>
          <PlacesShown at={shownAt} lines={pointedAt} radius={radius} view={view} box={box} />
          <PlacesMarked
            places={marked}
            marks={marks}
            radius={radius}
            picked={refs}
            onPick={onPick}
            view={view}
            box={box}
          />
          {shaped && (
            <ShapeByHand
              key={shaped.id}
              shaped={shaped}
              name={name}
              marks={marks.slice(marked.length)}
              size={radius}
              looks={looks}
              view={view}
              box={box}
              onShape={(texts, tag) => onShape(shaped.id, texts, tag)}
            />
          )}
        </>
      );
    },
    [own, refs, onPick, shaped, name, looks, onShape, shownAt, pointedAt],
  );
  return (
    <>
      <section aria-label={`The piece: ${part.name}`} className="leaf sticky top-0 z-10 p-2">
        <PlanViews
          plan={plan}
          looks={looks}
          label={`${part.name}, drawn to scale`}
          className="h-[30vh] w-full lg:h-[46vh]"
          isRing={isRing(part)}
          ghost={hung ? undefined : ghost}
          over={hung?.over ?? over}
          beside={hanging && <LetHang isHung={isLetToHang} onChange={letHang} />}
        />
      </section>
      <GoOnFrom places={own} picked={refs} onPick={onPick}>
        {isAsked && (
          <NextAct
            picked={picked}
            able={able}
            trying={trying}
            trial={trial}
            onTry={onTry}
            onTake={(id) => {
              setTakenAfter(last);
              onStop();
              onTake(id);
            }}
            onLetGo={onLetGo}
          />
        )}
      </GoOnFrom>
      <section aria-label="Shaping" className="leaf flex flex-wrap items-center gap-3 px-4 py-3">
        <label className="flex min-h-11 flex-wrap items-center gap-2 font-semibold">
          Shape by hand
          <select
            className="select max-w-full text-base font-normal"
            value={uses.some(({ id }) => id === shaping) ? shaping : ''}
            onChange={({ target }) => setShaping(target.value)}
          >
            <option value="">nothing</option>
            {part.uses.filter(isShaped).map((each) => (
              <option key={each.use.id} value={each.use.id}>
                {namedApart(each, part.uses)}
              </option>
            ))}
          </select>
        </label>
        <p className="muted min-w-0 grow text-sm">
          {shaped === undefined
            ? 'Choose what you want to shape: its measures become handles on the picture.'
            : shaped.handles.length > 0
              ? 'Pull a handle, or move it with the arrow keys; the numbers stand with the technique.'
              : 'Nothing of it can be pulled at; its measures stand with the technique.'}
        </p>
      </section>
      <section aria-label="What is to be said of the piece" className="leaf px-4 pt-1 pb-3">
        {hangs && hang && <PieceHangs hangs={hangs} at={hang} showing={showing} />}
        <Remarks of={said?.checks ?? NOTHING} label={CHECKS} showing={showing} />
        <Remarks of={said?.touches ?? NOTHING} label={TOUCHES} isWarning showing={showing} />
      </section>
    </>
  );
});

const NONE: readonly GoingOn[] = [];
const NOTHING: readonly Remark[] = [];
const NOWHERE: readonly Vec3[] = [];
const NO_LINES: readonly Path[] = [];

/** Whether a technique has a shape of its own: one that is alike to another is shaped there. */
const isShaped = ({ use }: ResolvedUse): boolean => use.mirrors === undefined;

/** What a finger hits of an end or a handle is so many times smaller than the picture: 24 points of the screen at least on a tablet (WCAG 2.2, 2.5.8). */
const MARK = 26;
