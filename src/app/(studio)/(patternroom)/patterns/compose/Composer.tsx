'use client';

import dynamic from 'next/dynamic';
import { useCallback, useMemo } from 'react';
import { Redo2, Undo2 } from 'lucide-react';
import { withoutUse, withStepAt, withTechnique, withUse } from '@/core/pattern/changes';
import {
  MEASURES,
  resolve,
  type Composition,
  type Specs,
  type TechniqueUse,
} from '@/core/pattern/composition';
import type { StoneSize } from '@/core/technique/parameter';
import { techniqueOf } from '@/core/technique/registry';
import { cutLengthOf } from '@/core/technique/totals';
import { formatToCut, um } from '@/core/units/length';
import type { PatternBase } from '@/studio/patterns/writePattern';
import type { KnownSpec } from '@/studio/wire/specs';
import { CutStrips } from '@/ui/craft/CutStrips';
import { ParameterFields } from '@/ui/craft/ParameterFields';
import { StoneHanging } from '@/ui/craft/StoneHanging';
import { stripsOf } from '@/ui/craft/stripsOf';
import { UNCHOSEN } from '@/ui/craft/unchosen';
import { useLengths } from '@/ui/lengths';
import { useIsListening } from '@/ui/useIsListening';
import { useKeys } from '@/ui/useKeys';
import { AddTechnique } from './AddTechnique';
import { PartsList } from './PartsList';
import { isPatternDraft, type PatternDraft } from './patternDraft';
import { PatternHead } from './PatternHead';
import { StoneFromStock, type StoneChoice } from './StoneFromStock';
import { SwapWires } from './SwapWires';
import { useDraft } from './useDraft';
import { useKeeping } from './useKeeping';
import { UseCard } from './UseCard';

export interface ComposerProps {
  readonly base: PatternBase | null;
  readonly given: PatternDraft;
  readonly specs: readonly KnownSpec[];
  readonly stones: readonly StoneChoice[];
}

/** Dragging comes a moment after the page: nothing is dragged before something is added. */
const StepOrder = dynamic(() => import('./StepOrder').then((loaded) => loaded.StepOrder), { ssr: false });

/** Composes a pattern of techniques. It works in the browser alone, since the device holds what was not kept yet. */
export function Composer(props: ComposerProps) {
  return useIsListening() ? <Composing {...props} /> : <p className="muted">Opening …</p>;
}

function Composing({ base, given, specs, stones }: ComposerProps) {
  const { system } = useLengths();
  const key = `pewterer-pattern-${base ? `${base.number}-${base.revision}` : 'new'}`;
  const draft = useDraft<PatternDraft>(key, given, isPatternDraft);
  const { now, change, undo, redo } = draft;
  const keeping = useKeeping(base, draft);
  const { composition } = now;
  const byId: Specs = useMemo(() => Object.fromEntries(specs.map((spec) => [spec.id, spec])), [specs]);
  const resolved = resolve(composition, byId);
  useKeys(
    useMemo(
      () => [
        { keys: 'z', does: 'Take the last change back', run: () => undo?.() },
        { keys: 'y', does: 'Change it again', run: () => redo?.() },
      ],
      [undo, redo],
    ),
  );

  const compose = useCallback(
    (next: Composition, label = '') => change({ ...now, composition: next }, label),
    [change, now],
  );
  const metalOf = useCallback(
    (use: TechniqueUse) => (wire: string) => byId[use.wires[wire] ?? '']?.metal ?? UNCHOSEN,
    [byId],
  );
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
          <button type="button" className="btn" disabled={!undo} onClick={undo} title="Take back (z)">
            <Undo2 size={18} aria-hidden="true" /> Undo
          </button>
          <button type="button" className="btn" disabled={!redo} onClick={redo} title="Again (y)">
            <Redo2 size={18} aria-hidden="true" /> Redo
          </button>
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={keeping.busy}
            onClick={keeping.keep}
          >
            {keeping.busy ? 'Keeping …' : base ? 'Keep the new revision' : 'Hang it in the room'}
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
      {draft.restored && (
        <p className="mt-2 border-l-4 border-info bg-info/10 p-2 text-sm">
          This is what you were working on here.{' '}
          <button type="button" className="link" onClick={draft.startOver}>
            Start over
          </button>
        </p>
      )}
      {/* On a narrow screen everything stands below one another as it is read: the order of work is long, so it comes last. */}
      <div className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[21rem_minmax(0,1fr)] lg:grid-rows-[auto_auto_auto_1fr]">
        <PatternHead draft={draft} />
        {resolved.measures.length > 0 && (
          <section className="leaf p-4" aria-label="What it is made for">
            <h2 className="mb-2">What it is made for</h2>
            {resolved.measures.includes('stone') && stones.length > 0 && (
              <StoneFromStock
                stones={stones}
                onChoose={(measures) =>
                  compose({ ...composition, measures: { ...composition.measures, ...measures } })
                }
              />
            )}
            <div className="mt-3">
              <ParameterFields
                parameters={Object.fromEntries(resolved.measures.map((each) => [each, MEASURES[each]]))}
                texts={composition.measures}
                wrong={resolved.measuresWrong}
                judgements={[]}
                onChange={(field, text) =>
                  compose(
                    { ...composition, measures: { ...composition.measures, [field]: text } },
                    `measure.${field}`,
                  )
                }
                onFill={(texts) =>
                  compose({ ...composition, measures: { ...composition.measures, ...texts } })
                }
              />
            </div>
            {resolved.measured['stone'] !== undefined && (
              <StoneHanging stone={resolved.measured['stone'] as StoneSize} />
            )}
          </section>
        )}
        <div className="min-w-0 space-y-4 lg:col-start-2 lg:row-span-4 lg:row-start-1">
          <AddTechnique
            onAdd={(id) => add(composition, id, byId, compose)}
            first={composition.uses.length === 0}
          />
          <div className="grid items-start gap-4 md:grid-cols-2 2xl:grid-cols-3">
            {resolved.uses.map((each) => (
              <UseCard
                key={each.use.id}
                resolved={each}
                specs={specs}
                metalOf={metalOf}
                onChange={(id, next, label) => compose(withUse(composition, id, next), label)}
                onRemove={(id) => compose(withoutUse(composition, id))}
              />
            ))}
          </div>
          {resolved.cuts.length > 0 && (
            <section className="leaf p-4" aria-label="Cuts">
              <h2>Wires to cut, to scale</h2>
              <div className="mt-2">
                <CutStrips strips={stripsOf(resolved, byId)} />
              </div>
              <p className="muted mt-3 text-sm">
                {resolved.grams.toFixed(2)} g of wire stay in the piece, as far as its wires are chosen.
              </p>
            </section>
          )}
        </div>
        <section className="leaf p-4" aria-label="Wires and parts">
          <SwapWires
            composition={composition}
            resolved={resolved}
            specs={specs}
            byId={byId}
            onSwap={(next) => compose(next)}
          />
          <PartsList
            parts={now.parts}
            wanted={resolved.parts}
            onChange={(parts, label) => change({ ...now, parts }, label)}
          />
        </section>
        {resolved.steps.length > 0 && (
          <section className="leaf p-4" aria-label="Steps">
            <h2>Order of work</h2>
            <StepOrder
              steps={resolved.steps}
              faults={resolved.faults}
              severalTechniques={resolved.uses.length > 1}
              onMove={(step, to) =>
                compose(
                  withStepAt(
                    composition,
                    resolved.steps.map(({ id }) => id),
                    step,
                    to,
                  ),
                )
              }
              onOverride={(fault) =>
                compose({ ...composition, overridden: [...composition.overridden, fault] })
              }
            />
          </section>
        )}
      </div>
    </>
  );
}

function add(composition: Composition, id: string, specs: Specs, compose: (next: Composition) => void): void {
  const technique = techniqueOf(id);
  if (technique) compose(withTechnique(composition, technique, specs));
}
