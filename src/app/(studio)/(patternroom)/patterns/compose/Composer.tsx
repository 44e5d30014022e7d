'use client';

import dynamic from 'next/dynamic';
import { Suspense, useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Redo2, Undo2 } from 'lucide-react';
import type { SaleRules } from '@/core/costing/expectedSale';
import type { PriceBook } from '@/core/costing/forecast';
import { MEASURES, type Composition, type Specs } from '@/core/pattern/composition';
import { drawnParts } from '@/core/pattern/drawnParts';
import type { OwnStep } from '@/core/pattern/ownSteps';
import { resolve } from '@/core/pattern/resolve';
import { whatChanged } from '@/core/pattern/whatChanged';
import type { StoneSize } from '@/core/stone/stoneSize';
import type { Texts } from '@/core/parameter/readTexts';
import { fetchTechnique } from '@/core/techniques/fetchTechnique';
import { takesFor, type GoingOn } from '@/core/plan/takesFor';
import { cutLengthOf } from '@/core/plan/totals';
import { formatToCut, um } from '@/core/units/length';
import type { PatternBase } from '@/studio/patterns/writePattern';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { NOT_FETCHED, useTechniques } from '@/ui/craft/useTechniques';
import { useLengths } from '@/ui/lengths';
import { useIsListening } from '@/ui/useIsListening';
import { useKeys } from '@/ui/useKeys';
import { useSettled } from '@/ui/useSettled';
import { Link } from '@/ui/Link';
import { WhenSeen } from '@/ui/WhenSeen';
import { useToast } from '@/ui/toasts';
import { AddTechnique } from './AddTechnique';
import { BackButton } from './BackButton';
import { PartsList } from './PartsList';
import { isPatternDraft, type PatternDraft, type StoneChoice } from './patternDraft';
import { PatternHead } from './PatternHead';
import type { Asked, Pointed } from './pointed';
import { useDraft } from './useDraft';
import { useChanges } from './useChanges';
import { useKeeping } from './useKeeping';

export interface ComposerProps {
  readonly base: PatternBase | null;
  readonly given: PatternDraft;
  /** What a new pattern was begun from; several may be in hand. */
  readonly from?: string;
  readonly specs: readonly KnownSpec[];
  readonly stones: readonly StoneChoice[];
  readonly book: PriceBook;
  readonly rules: SaleRules;
  /** Techniques to choose from. */
  readonly offered: readonly GoingOn[];
}

const EndReach = dynamic(() => import('./EndReach').then((loaded) => loaded.EndReach), { ssr: false });
const SwapWires = dynamic(() => import('./SwapWires').then((loaded) => loaded.SwapWires), { ssr: false });
/** What it is made for is asked of a piece that has a technique. */
const ParameterFields = dynamic(
  () => import('@/ui/craft/ParameterFields').then((loaded) => loaded.ParameterFields),
  { ssr: false },
);
const StoneFromStock = dynamic(() => import('./StoneFromStock').then((loaded) => loaded.StoneFromStock), {
  ssr: false,
});

/** What is drawn comes with the first technique: nothing is drawn before. */
const UseCards = dynamic(() => import('./UseCards').then((loaded) => loaded.UseCards), { ssr: false });
const PieceShown = dynamic(() => import('./PieceShown').then((loaded) => loaded.PieceShown), { ssr: false });
const CutsToScale = dynamic(() => import('./CutsToScale').then((loaded) => loaded.CutsToScale), {
  ssr: false,
});
/** Others are heard of a moment after the page. */
const SavedMeanwhile = dynamic(() => import('./SavedMeanwhile').then((loaded) => loaded.SavedMeanwhile), {
  ssr: false,
});
const StepStrip = dynamic(() => import('./StepStrip').then((loaded) => loaded.StepStrip), { ssr: false });
const StoneHanging = dynamic(() => import('@/ui/craft/StoneHanging').then((loaded) => loaded.StoneHanging), {
  ssr: false,
});

/** What it costs comes a moment after the page. */
const PriceLive = dynamic(() => import('@/ui/pricing/PriceLive').then((loaded) => loaded.PriceLive), {
  ssr: false,
});

/** Dragging comes a moment after the page: nothing is dragged before something is added. */
const WorkOrder = dynamic(() => import('./WorkOrder').then((loaded) => loaded.WorkOrder), { ssr: false });

/** Composes a pattern of techniques. It works in the browser alone, since the device holds what was not kept yet. */
export function Composer(props: ComposerProps) {
  const opening = <p className="muted">Opening …</p>;
  return useIsListening() ? (
    <Suspense fallback={opening}>
      <Composing {...props} />
    </Suspense>
  ) : (
    opening
  );
}

function Composing({ base, given, from = '', specs, stones, book, rules, offered }: ComposerProps) {
  const { system } = useLengths();
  const toast = useToast();
  const key = `pewterer-pattern-${base ? `${base.number}-${base.revision}` : `new${from}`}`;
  const isDraft = (value: unknown): value is PatternDraft => isPatternDraft(value, offered);
  const draft = useDraft<PatternDraft>(key, given, isDraft);
  const { now, change, undo, redo } = draft;
  const keeping = useKeeping(base, draft);
  const { composition } = now;
  const techniques = useTechniques(composition.uses.map(({ technique }) => technique));
  const byId: Specs = useMemo(() => Object.fromEntries(specs.map((spec) => [spec.id, spec])), [specs]);
  // What is typed is shown at once, what comes of it when the typing pauses; what is added, moved or taken away is no typing.
  const typed = useSettled(composition);
  const settled = isSameWork(typed, composition) ? typed : composition;
  const isMoving = useRef(false);
  useLayoutEffect(() => {
    isMoving.current = settled !== composition;
  }, [settled, composition]);
  const atHand = useMemo(() => ({ specs: byId, techniques }), [byId, techniques]);
  const resolved = useMemo(() => resolve(settled, byId, techniques), [settled, byId, techniques]);
  const { parts } = now;
  const work = useMemo(
    () => ({ composition: settled, resolved, atHand, parts }),
    [settled, resolved, atHand, parts],
  );
  const [goBack, goForth] = [undo?.go, redo?.go];
  useKeys(
    useMemo(
      () => [
        { keys: 'z', does: 'Take the last change back', run: () => goBack?.() },
        { keys: 'y', does: 'Change it again', run: () => goForth?.() },
      ],
      [goBack, goForth],
    ),
  );

  const changes = useChanges(change);
  const { compose, setMeasures, changeParts } = changes;
  const [picked, setPicked] = useState<readonly string[]>([]);
  const pick = useCallback(
    (ref: string) =>
      setPicked((before) =>
        before.includes(ref) ? before.filter((each) => each !== ref) : [...before, ref],
      ),
    [],
  );
  /** What was picked and is there still. */
  const goingOn = useMemo(
    () => picked.flatMap((ref) => resolved.left.find((offer) => offer.ref === ref) ?? []),
    [picked, resolved],
  );
  const able = useMemo(
    () => (goingOn.length > 0 ? offered.filter((each) => takesFor(each, goingOn)) : offered),
    [offered, goingOn],
  );
  // What was taken leaves an end or two: one goes on with them in hand.
  const [handedOn, setHandedOn] = useState<string>();
  const newest = resolved.uses.at(-1)?.use.id;
  if (handedOn !== undefined && newest !== undefined && newest !== handedOn) {
    const ends = resolved.left.filter(({ use, takes }) => use === newest && takes === 'end');
    setHandedOn(undefined);
    if (ends.length <= IN_HAND) setPicked(ends.map(({ ref }) => ref));
  }
  /** What is added in haste comes in the order that it was asked for, whichever is fetched first. */
  const adding = useRef(Promise.resolve());
  const addTechnique = useCallback(
    (id: string) => {
      const takes = takesFor(offered.find((each) => each.id === id) ?? { ports: [] }, goingOn);
      setPicked([]);
      setHandedOn(takes && newest);
      const fetched = Promise.all([fetchTechnique(id), import('@/core/pattern/goneOn')]);
      const add = ([technique, { goneOn }]: Awaited<typeof fetched>) =>
        compose((before) => goneOn(before, technique, takes, atHand));
      adding.current = adding.current.then(() => fetched).then(add, () => toast(NOT_FETCHED));
    },
    [atHand, compose, toast, offered, goingOn, newest],
  );
  const letGo = useCallback(() => setPicked([]), []);
  // What several techniques make together, and what leaves something to go on from, is drawn large; what stands alone is drawn on its card.
  const together = useMemo(() => {
    const goOn = new Set(resolved.left.map(({ wire }) => wire));
    return drawnParts(resolved).filter(
      ({ uses, plan }) =>
        plan.run && (uses.length > 1 || plan.run.wires.some(({ wire }) => goOn.has(wire.id))),
    );
  }, [resolved]);
  const [pointed, setPointed] = useState<Pointed>();
  /** The technique whose measures were asked for, and how often. */
  const [asked, setAsked] = useState<Asked>();
  const ask = useCallback(
    (use: string) => setAsked((before) => ({ use, times: (before?.times ?? 0) + 1 })),
    [],
  );
  const madeFor = useRef<HTMLElement>(null);
  const [there] = useState(() => new Set(composition.uses.map(({ id }) => id)));
  const total = resolved.cuts.reduce((sum, cut) => sum + cut.count * cutLengthOf(cut), 0);
  const wires = resolved.cuts.reduce((sum, { count }) => sum + count, 0);
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1 aria-live="polite">
          {wires === 0
            ? 'Which techniques make the piece?'
            : `${wires} ${wires === 1 ? 'wire' : 'wires'}, ${formatToCut(um(total), system)} together, ${Math.round(resolved.minutes)} minutes`}
        </h1>
        <div className="flex flex-wrap gap-2">
          <BackButton of={undo && whatChanged(undo.to, now, techniques)} onGo={goBack} title="Take back (z)">
            <Undo2 size={18} aria-hidden="true" /> Undo
          </BackButton>
          <BackButton of={redo && whatChanged(now, redo.to, techniques)} onGo={goForth} title="Again (y)">
            <Redo2 size={18} aria-hidden="true" /> Redo
          </BackButton>
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={keeping.busy}
            onClick={keeping.keep}
          >
            {keeping.busy ? 'Saving …' : base ? 'Save the new revision' : 'Save pattern'}
          </button>
        </div>
      </div>
      <div aria-live="assertive">
        {keeping.problem && (
          <p role="alert" className="mt-2 border-l-4 border-error bg-error/10 p-3 font-semibold">
            {keeping.problem}
          </p>
        )}
      </div>
      {base && <SavedMeanwhile base={base} />}
      {draft.restored && (
        <p className="mt-2 border-l-4 border-info bg-info/10 p-2 text-sm">
          This is what you were working on here.{' '}
          <button type="button" className="link" onClick={draft.startOver}>
            Start over
          </button>
        </p>
      )}
      {/* On a narrow screen everything stands below one another as it is read: the order of work is long, so it comes last. */}
      <div
        aria-busy={settled !== composition}
        className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[21rem_minmax(0,1fr)] lg:grid-rows-[auto_auto_auto_1fr]"
      >
        <PatternHead draft={draft} />
        {resolved.measures.length > 0 && (
          <section ref={madeFor} tabIndex={-1} className="leaf p-4" aria-label="What it is made for">
            <h2 className="mb-2">What it is made for</h2>
            {resolved.measures.includes('stone') && stones.length > 0 && (
              <StoneFromStock stones={stones} onChoose={change} />
            )}
            <div className="mt-3">
              <ParameterFields
                parameters={Object.fromEntries(resolved.measures.map((each) => [each, MEASURES[each]]))}
                texts={composition.measures}
                wrong={resolved.measuresWrong}
                judgements={[]}
                onChange={(field, text) => setMeasures({ [field]: text }, `measure.${field}`)}
                onFill={setMeasures}
              />
            </div>
            {resolved.measured['stone'] !== undefined && (
              <WhenSeen className="h-24">
                <StoneHanging stone={resolved.measured['stone'] as StoneSize} />
              </WhenSeen>
            )}
          </section>
        )}
        <div className="min-w-0 space-y-4 lg:col-start-2 lg:row-span-4 lg:row-start-1">
          {together.map((part) => (
            <PieceShown
              key={part.id}
              part={part}
              work={work}
              isMoving={isMoving}
              picked={goingOn}
              able={able}
              onPick={pick}
              onLetGo={letGo}
              onTake={addTechnique}
              onShape={changes.shape}
              onAsk={ask}
              madeFor={madeFor}
              pointed={pointed?.use}
            />
          ))}
          {resolved.steps.length > 1 && <StepStrip work={work} compose={compose} />}
          {base === null && composition.uses.length === 0 && (
            <p className="leaf flex flex-wrap gap-x-4 gap-y-1 px-4 py-3">
              Or begin from{' '}
              <Link href="/patterns/starters" className="link">
                a starter pattern
              </Link>
              <Link href="/fitting" className="link">
                a stone, a finger or a bead: what could hold it?
              </Link>
              <Link href="/shelf" className="link">
                a finished piece, from its page
              </Link>
              <Link href="/how-much" className="link">
                one technique: how much wire?
              </Link>
            </p>
          )}
          {goingOn.length === 0 && (
            <AddTechnique offered={offered} onAdd={addTechnique} first={composition.uses.length === 0} />
          )}
          {resolved.uses.length > 0 && (
            <UseCards
              composition={composition}
              resolved={resolved}
              atHand={atHand}
              specs={specs}
              parts={parts}
              changes={changes}
              together={together}
              there={there}
              pointed={pointed}
              onPoint={setPointed}
              asked={asked}
            />
          )}
          {resolved.cuts.length > 0 && (
            <CutsToScale
              resolved={resolved}
              byId={byId}
              inHand={composition.inHand ?? NO_TEXTS}
              compose={compose}
              onShape={changes.shape}
            />
          )}
          {resolved.uses.length > 1 && <EndReach uses={resolved.uses} />}
          {(resolved.uses.length > 0 || now.parts.length > 0) && (
            <PriceLive
              composition={settled}
              resolved={resolved}
              parts={now.parts}
              specs={byId}
              book={book}
              rules={rules}
            />
          )}
        </div>
        <section className="leaf p-4" aria-label="Wires and parts">
          {composition.uses.length > 0 && (
            <SwapWires
              composition={settled}
              resolved={resolved}
              specs={specs}
              byId={byId}
              onSwap={changes.swap}
            />
          )}
          <PartsList parts={now.parts} wanted={resolved.parts} drawers={book.parts} onChange={changeParts} />
        </section>
        {resolved.steps.length > 0 && (
          <section className="leaf p-4" aria-label="Steps">
            <h2>Order of work</h2>
            <WorkOrder
              resolved={resolved}
              own={composition.steps ?? NO_STEPS}
              atHand={atHand}
              compose={compose}
            />
          </section>
        )}
      </div>
    </>
  );
}

/** So many ends are gone on with at once without being picked anew. */
const IN_HAND = 2;

/** The same for all that have none. */
const NO_STEPS: readonly OwnStep[] = [];
const NO_TEXTS: Texts = {};

/** Whether two compositions differ by no more than what is typed into fields. */
const isSameWork = (a: Composition, b: Composition): boolean =>
  a.order === b.order &&
  a.overridden === b.overridden &&
  a.copies === b.copies &&
  areSameSteps(a.steps ?? NO_STEPS, b.steps ?? NO_STEPS) &&
  a.uses.length === b.uses.length &&
  a.uses.every(({ id, wires, own, takes, mirrors }, index) => {
    const other = b.uses[index];
    return (
      other?.id === id &&
      other.wires === wires &&
      other.own === own &&
      other.takes === takes &&
      other.mirrors === mirrors
    );
  });

/** Whether steps of the maker’s own differ by no more than what is typed into their fields. */
const areSameSteps = (a: readonly OwnStep[], b: readonly OwnStep[]): boolean =>
  a.length === b.length &&
  a.every(
    ({ id, once, kind, does }, index) =>
      b[index]?.id === id && b[index].once === once && b[index].kind === kind && b[index].does === does,
  );
