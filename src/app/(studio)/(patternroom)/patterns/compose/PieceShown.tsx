'use client';

import { memo, useCallback, useMemo, useState, type RefObject } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { spread } from '@/core/drawing/spread';
import { seenFrom, type View } from '@/core/drawing/view';
import { isRing, type DrawnPart } from '@/core/pattern/drawnParts';
import { looksOf } from '@/core/pattern/looksOf';
import type { ResolvedUse } from '@/core/pattern/resolve';
import { namedApart } from '@/core/pattern/namedApart';
import { placesLeft } from '@/core/pattern/placesLeft';
import { thingsOf, type Thing, type Under } from '@/core/pattern/things';
import { lazily } from '@/core/lazily';
import { boundMeasures } from '@/core/pattern/composition';
import { toShape } from '@/core/pattern/toShape';
import type { Offer } from '@/core/technique/joinActs';
import type { Texts } from '@/core/parameter/readTexts';
import type { GoingOn } from '@/core/plan/takesFor';
import { PieceHangs } from '@/ui/craft/PieceHangs';
import { PlanViews } from '@/ui/craft/PlanViews';
import { markRadius } from '@/ui/craft/markRadius';
import { CHECKS, Remarks, TOUCHES } from '@/ui/craft/Remarks';
import { ShapeByHand } from '@/ui/craft/ShapeByHand';
import { Tick } from '@/ui/form/Tick';
import { Said } from '@/ui/house';
import { useHandles } from '@/ui/craft/useHandles';
import { Plumb } from './asItHangs';
import { GoOnFrom, markedOf, PlacesMarked } from './GoOnFrom';
import { NextAct } from './NextAct';
import { PlacesShown } from './PlacesShown';
import { PointAt } from './PointAt';
import { ThingsNamed } from './ThingsNamed';
import { useShownWhere } from './useShownWhere';
import { useTrial } from './useTrial';
import type { Work } from './work';

interface PieceShownProps {
  readonly part: DrawnPart;
  readonly work: Work;
  /** Whether something was changed that is not worked out yet. */
  readonly isMoving: RefObject<boolean>;
  /** What was picked to go on from, of all pieces. */
  readonly picked: readonly Offer[];
  /** Techniques that go on from that. */
  readonly able: readonly GoingOn[];
  readonly onPick: (ref: string) => void;
  readonly onLetGo: () => void;
  readonly onTake: (id: string) => void;
  /** @param tag changes of one tag that follow each other are taken back together */
  readonly onShape: (use: string, texts: Texts, tag: string) => void;
  /** Asks for the measures of a technique. */
  readonly onAsk: (use: string) => void;
  /** Where the measures are that techniques share. */
  readonly madeFor: RefObject<HTMLElement | null>;
  /** The technique that a judgement is of that is shown on the picture. */
  readonly pointed: string | undefined;
}

/** A piece that is being composed, large: one goes on from it, and shapes it by hand. It stays in view while its techniques are worked on. */
export const PieceShown = memo(function PieceShown({
  part,
  work,
  isMoving,
  picked,
  able,
  onPick,
  onLetGo,
  onTake,
  onShape,
  onAsk,
  madeFor,
  pointed,
}: PieceShownProps) {
  const { resolved, atHand, parts } = work;
  const looks = useMemo(() => looksOf(part, atHand.specs, parts), [part, atHand, parts]);
  const own = useMemo(
    () => (part.plan.run ? placesLeft(resolved.left, [{ run: part.plan.run }]) : []),
    [resolved, part],
  );
  const where = useShownWhere(part, looks, pointed);
  const { hangs, hung, showing } = where;
  const refs = useMemo(() => picked.map(({ ref }) => ref), [picked]);
  const isAsked = picked.some(({ ref }) => own.some(({ offer }) => offer.ref === ref));
  const { trying, trial, onTry, onStop } = useTrial(work, picked, isAsked ? able : NONE);
  const ghost = useMemo(() => {
    const become = trial?.refusal === '' ? trial.part : undefined;
    return become && { plan: become.plan, looks: looksOf(become, atHand.specs, parts) };
  }, [trial, atHand, parts]);

  // While one types nobody points at anything.
  const things = useMemo(() => lazily(() => thingsOf(part, own)), [part, own]);
  const [heldId, setHeld] = useState('');
  const held = heldId === '' ? undefined : things().all.find(({ id }) => id === heldId);
  const hold = useCallback((thing: Thing | undefined) => {
    setHeld(thing?.id ?? '');
    if (thing) setShaping(thing.use);
  }, []);
  const point = useCallback(
    ({ thing, left }: Under) => {
      hold(thing);
      if (left) onPick(left.offer.ref);
    },
    [hold, onPick],
  );
  const uses = part.uses.map(({ use }) => use);
  const last = uses.at(-1)?.id ?? '';
  const [shaping, setShaping] = useState('');
  // What was just taken is what the hand is on.
  const [takenAfter, setTakenAfter] = useState<string>();
  if (takenAfter !== undefined && takenAfter !== last) {
    setTakenAfter(undefined);
    setShaping(last);
  }
  const shaped = useHandles(
    useMemo(() => toShape(resolved, shaping), [resolved, shaping]),
    isMoving,
  );
  const name = uses.find(({ id }) => id === shaping)?.name ?? '';
  const askMeasures = () => {
    // A stone or bead that its technique shares with others has its measures with what they are all made for.
    const measure = held?.body && (held.body === 'bead' ? 'bead' : 'stone');
    const alone = { uses: uses.filter(({ id }) => id === shaping) };
    const isShared = measure !== undefined && boundMeasures(alone, atHand.techniques).includes(measure);
    if (isShared) madeFor.current?.focus();
    else onAsk(shaping);
  };
  const over = useCallback(
    (view: View, box: LineDrawing['box']) => {
      const radius = markRadius(box);
      const places = <PlacesShown at={where.at} lines={where.lines} radius={radius} view={view} box={box} />;
      if (hung)
        return (
          <>
            {places}
            <Plumb from={hung.from} view={view} box={box} />
          </>
        );
      const marked = markedOf(own, refs);
      const handles = shaped ? [...shaped.handles, ...shaped.choices] : [];
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
          <PointAt things={things} held={held} radius={radius} view={view} box={box} onPoint={point} />
          {places}
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
              key={shaped.of.id}
              shaped={shaped}
              name={name}
              marks={marks.slice(marked.length)}
              size={radius}
              looks={looks}
              view={view}
              box={box}
              onShape={(texts, tag) => onShape(shaped.of.id, texts, tag)}
            />
          )}
        </>
      );
    },
    [own, refs, onPick, things, held, point, shaped, name, looks, onShape, where.at, where.lines, hung],
  );
  return (
    <>
      <section aria-label={`The piece: ${part.name}`} className="stays-above leaf sticky top-0 z-10 p-2">
        <PlanViews
          plan={hung?.plan ?? part.plan}
          looks={looks}
          label={`${part.name}, drawn to scale`}
          className="h-[30vh] w-full lg:h-[46vh]"
          isRing={isRing(part)}
          ghost={hung ? undefined : ghost}
          over={over}
          beside={
            hangs && (
              <Tick checked={hung !== undefined} onChange={where.letHang} className="no-print mt-1">
                as it hangs
              </Tick>
            )
          }
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
            onChange={({ target }) => {
              setHeld('');
              setShaping(target.value);
            }}
          >
            <option value="">nothing</option>
            {part.uses.filter(isShaped).map((each) => (
              <option key={each.use.id} value={each.use.id}>
                {namedApart(each, part.uses)}
              </option>
            ))}
          </select>
        </label>
        {held && (
          <p className="min-w-0" aria-live="polite">
            In hand: <Said>{held.name}</Said>
          </p>
        )}
        {shaping !== '' && uses.some(({ id }) => id === shaping) && (
          <button type="button" className="btn btn-sm min-h-11" onClick={askMeasures}>
            To its measures
          </button>
        )}
        <p className="muted min-w-0 grow text-sm">
          {shaped === undefined
            ? 'Press what you want to shape on the picture, or choose it: its measures become handles on the picture.'
            : shaped.handles.length + shaped.choices.length > 0
              ? shaped.handles.some(({ point }) => point !== undefined)
                ? 'Pull a point, or move it with the arrow keys. It is drawn to edges of stones, beside wires and opposite wires of the other side that are near; hold Alt to leave it where you pull it.'
                : 'Pull a handle, or move it with the arrow keys; press what has two arrows to have it another way. The numbers stand with the technique.'
              : 'Nothing of it can be pulled at; its measures stand with the technique.'}
        </p>
        <div className="w-full">
          <ThingsNamed
            things={things}
            held={held}
            onHold={(thing) => hold(thing.id === held?.id ? undefined : thing)}
          />
        </div>
      </section>
      <section aria-label="What is to be said of the piece" className="leaf px-4 pt-1 pb-3">
        {hangs && <PieceHangs hangs={hangs.how} at={hangs.from} showing={showing} />}
        <Remarks of={where.checks} label={CHECKS} showing={showing} />
        <Remarks of={where.touches} label={TOUCHES} isWarning showing={showing} />
      </section>
    </>
  );
});

const NONE: readonly GoingOn[] = [];

/** Whether a technique has a shape of its own: one that is alike to another is shaped there. */
const isShaped = ({ use }: ResolvedUse): boolean => use.mirrors === undefined;
