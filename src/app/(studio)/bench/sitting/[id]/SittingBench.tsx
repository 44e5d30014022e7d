'use client';

import { useCallback, useMemo } from 'react';
import { ArrowLeft, ArrowRight, CloudOff } from 'lucide-react';
import { correctSlot, goToStation } from '@/core/bench/device';
import { isLost, spentIn, type Sitting } from '@/core/bench/sitting';
import { slotOf } from '@/core/bench/sittingMinutes';
import { beside, pieceAt, stationsOf, type Station } from '@/core/bench/stations';
import { runFor, settleMissed, stand } from '@/core/bench/watch';
import { counted } from '@/core/units/counted';
import { StepMark } from '@/ui/craft/OrderOfWork';
import { Said } from '@/ui/house';
import { newKey } from '@/ui/newKey';
import { useIsListening } from '@/ui/useIsListening';
import { useKeys } from '@/ui/useKeys';
import { Finish } from './Finish';
import { Inspect } from './Inspect';
import { LayOut } from './LayOut';
import { StepWatch, WatchSetRight } from './StepWatch';
import { StepWorked } from './StepWorked';
import { StopScreen } from './StopScreen';
import { pieceCalled, stationCalled, type ShownSitting, type ShownStep } from './shown';
import { useSitting, type SittingHere } from './useSitting';

/** The bench: one step at a time, on one piece or on several that are worked together. */
export function SittingBench({ view, steps, picture, piece: turnable }: ShownSitting) {
  const { count } = view;
  const stations = useMemo(() => stationsOf(steps, count), [steps, count]);
  const slot = useCallback((of: Sitting) => slotOf(of, stations), [stations]);
  const first = useMemo(() => ({ words: view.words, state: view.state }), [view.words, view.state]);
  const here = useSitting(view.id, first, slot);
  const { sitting, watch, change, say } = here;
  const { at } = sitting;
  const station = stations[at] ?? { kind: 'layOut' };
  const go = useMemo(() => {
    const to = (next: number) => {
      if (next !== at) change((kept, now) => goToStation(kept, next, now, newKey));
    };
    const on = (by: 1 | -1) => to(beside(stations, at, by, (piece) => isLost(sitting, piece)));
    return { to, next: () => on(1), before: () => on(-1) };
  }, [at, change, sitting, stations]);
  const counting = slot(sitting);
  const toggle = useCallback(
    () =>
      change((kept, now) => ({
        ...kept,
        watch: kept.watch.isRunning ? stand(kept.watch, now) : runFor(kept.watch, counting, now),
      })),
    [change, counting],
  );
  useBenchKeys({ ...go, toggle });
  const isListening = useIsListening();
  const stops = stopsAt(station, steps);
  const isStopped = isListening && stops.length > 0 && !sitting.passed.has(at);
  const name = stationCalled(station, steps);
  const piece = pieceAt(station);
  return (
    <div className="bench">
      <Standing station={station} steps={steps} name={name} view={view} />
      <Trouble here={here} />
      {piece !== null && count > 1 && (
        <Pieces stations={stations} at={at} sitting={sitting} count={count} go={go.to} />
      )}
      <div className="no-print mt-3 grid grid-cols-2 gap-3 lg:grid-cols-[1fr_minmax(18rem,1fr)_2fr]">
        <button
          type="button"
          className="btn btn-lg h-full min-h-16"
          disabled={at === 0 || !isListening}
          onClick={go.before}
          title="Back (p, ←, Page up)"
        >
          <ArrowLeft size={24} aria-hidden="true" /> Back
        </button>
        {station.kind !== 'finish' && (
          <>
            <div className="order-last col-span-2 lg:order-none lg:col-span-1">
              <StepWatch
                spent={spentIn(sitting, counting)}
                total={[...sitting.spent.values()].reduce((sum, ms) => sum + ms, 0)}
                runs={watch.isRunning}
                onToggle={toggle}
              />
            </div>
            <button
              type="button"
              className="btn btn-primary btn-lg h-full min-h-16 min-w-0"
              disabled={!isListening}
              onClick={go.next}
              title="Next (n, →, Page down)"
            >
              Next <ArrowRight size={24} aria-hidden="true" />
            </button>
          </>
        )}
      </div>
      {station.kind === 'layOut' && <LayOut view={view} sitting={sitting} say={say} />}
      {station.kind === 'step' && (
        <StepWorked
          key={`step ${at}`}
          view={view}
          steps={steps}
          station={station}
          here={here}
          picture={picture}
          turnable={turnable}
        />
      )}
      {station.kind === 'inspect' && (
        <Inspect view={view} piece={station.piece} sitting={sitting} say={say} />
      )}
      {station.kind === 'finish' && <Finish view={view} steps={steps} here={here} />}
      {station.kind !== 'finish' && (
        <WatchSetRight
          missed={Math.round(watch.missed / 60_000)}
          what={String(counting)}
          onMissed={(counts) => change((kept) => ({ ...kept, watch: settleMissed(kept.watch, counts) }))}
          onCorrect={(minutes) =>
            change((kept, now) => correctSlot(kept, counting, minutes * 60_000, now, newKey))
          }
        />
      )}
      {isStopped && (
        <StopScreen
          key={`stop ${at}`}
          name={name}
          piece={pieceCalled(piece, count)}
          stops={stops}
          onPassed={() => say({ kind: 'passed', at })}
          onBack={go.before}
        />
      )}
    </div>
  );
}

/** The keys of the bench; a foot pedal presses the arrows, or the keys that turn pages. */
function useBenchKeys({
  next,
  before,
  toggle,
}: {
  next: () => void;
  before: () => void;
  toggle: () => void;
}): void {
  useKeys(
    useMemo(
      () => [
        ...['n', 'ArrowRight', 'PageDown'].map((keys) => ({ keys, does: 'Next', run: next })),
        ...['p', 'ArrowLeft', 'PageUp'].map((keys) => ({ keys, does: 'Back', run: before })),
        { keys: 't', does: 'Run or pause the watch', run: toggle },
        {
          keys: 'o',
          does: 'Note something',
          run: () => document.querySelector<HTMLElement>('[name="note"]')?.focus(),
        },
      ],
      [next, before, toggle],
    ),
  );
}

/** What must be so before a station is worked; nothing where it may be begun at once. */
function stopsAt(station: Station, steps: readonly ShownStep[]): readonly string[] {
  if (station.kind !== 'step') return [];
  const step = steps[station.step];
  const own = step?.kind === 'stop' ? [step.name] : [];
  return [...(step?.stops ?? []), ...own];
}

/** Which station of how many, as a sentence, and what is done there. */
function Standing({
  station,
  steps,
  name,
  view,
}: Pick<ShownSitting, 'steps' | 'view'> & { station: Station; name: string }) {
  const step = station.kind === 'step' ? steps[station.step] : undefined;
  const which = pieceCalled(pieceAt(station), view.count);
  return (
    <div aria-live="polite">
      <p className="muted text-xl">
        {station.kind === 'step' ? (
          <Said>{`Step ${station.step + 1} of ${steps.length}, planned ${step?.minutes ?? 0} min`}</Said>
        ) : (
          counted(view.count, 'piece', 'pieces')
        )}
        {station.kind === 'step' && station.piece === null && ', once for all'}
        {which && ` · ${which}`}
      </p>
      <h1 className="text-3xl [overflow-wrap:anywhere] first-letter:uppercase md:text-4xl">
        {step?.kind && <StepMark kind={step.kind} />}
        <Said>{name}</Said>
      </h1>
    </div>
  );
}

/** That something is kept here only, or that the sitting is over. */
function Trouble({ here: { state, unheard, trouble } }: { here: SittingHere }) {
  if (state !== 'open')
    return (
      <p role="status" className="mt-2 border-l-4 border-warning pl-3">
        This sitting is over: {state === 'finished' ? 'its pieces are made.' : 'it was left.'} Nothing more is
        written down.
      </p>
    );
  if (trouble === '') return null;
  return (
    <p role="status" className="mt-2 flex items-center gap-2 border-l-4 border-warning pl-3">
      <CloudOff size={20} aria-hidden="true" className="shrink-0" />
      <span>
        {trouble}
        {unheard > 0 && ` ${counted(unheard, 'thing waits', 'things wait')}.`}
      </span>
    </p>
  );
}

/** The pieces that are worked together: each at the same step. */
function Pieces({
  stations,
  at,
  sitting,
  count,
  go,
}: {
  stations: readonly Station[];
  at: number;
  sitting: Sitting;
  count: number;
  go: (at: number) => void;
}) {
  const here = stations[at];
  const isAlike = (each: Station) =>
    each.kind === here?.kind && (each.kind !== 'step' || here.kind !== 'step' || each.step === here.step);
  return (
    <nav aria-label="Pieces" className="no-print mt-2 flex flex-wrap gap-2">
      {Array.from({ length: count }, (_, piece) => {
        const target = stations.findIndex((each) => isAlike(each) && pieceAt(each) === piece);
        const lost = isLost(sitting, piece);
        return (
          <button
            key={piece}
            type="button"
            className={`btn min-h-12 min-w-12 text-lg ${pieceAt(here) === piece ? 'btn-neutral' : 'btn-outline'} ${lost ? 'line-through' : ''}`}
            aria-current={pieceAt(here) === piece ? 'step' : undefined}
            aria-label={`Piece ${piece + 1}${lost ? ', lost' : ''}`}
            onClick={() => go(target)}
          >
            {piece + 1}
          </button>
        );
      })}
    </nav>
  );
}
