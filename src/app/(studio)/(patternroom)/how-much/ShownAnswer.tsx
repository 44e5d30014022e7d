'use client';

import dynamic from 'next/dynamic';
import { allOf } from '@/core/drawing/look';
import { memo, useCallback, useMemo } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import type { View } from '@/core/drawing/view';
import { isActed } from '@/core/technique/act';
import { type KnownWire } from '@/core/plan/judgePlan';
import type { WireSize } from '@/core/wire/wireSize';
import { type Texts } from '@/core/parameter/readTexts';
import type { Values } from '@/core/parameter/readValues';
import { minutesOfPlan, type AnyTechnique, type Plan } from '@/core/technique/technique';
import { massOfPlan, plainSpec } from '@/core/plan/totals';
import { type MetalId } from '@/core/wire/metal';
import { CutStrips } from '@/ui/craft/CutStrips';
import { PlanViews } from '@/ui/craft/PlanViews';
import { Said } from '@/ui/house';
import { Tick } from '@/ui/form/Tick';

/** What is pulled at comes after what is seen. */
const ShapeAnswer = dynamic(() => import('./ShapeAnswer').then((loaded) => loaded.ShapeAnswer), {
  ssr: false,
});

/** What a technique comes to for what was typed last that could be read. */
export interface Answer {
  readonly technique: AnyTechnique;
  readonly values: Values;
  readonly plan: Plan;
}

/** What a technique comes to: drawn, and its cuts. */
export const Shown = memo(function Shown({
  answer: { technique, values, plan },
  texts,
  metal,
  known,
  isShaping,
  setShaping,
  onShape,
}: {
  answer: Answer;
  texts: Texts;
  metal: MetalId;
  known: Readonly<Record<string, KnownWire>>;
  /** Whether its measures are handles on the picture. */
  isShaping: boolean;
  setShaping: (isShaping: boolean) => void;
  onShape: (texts: Texts) => void;
}) {
  const looks = useMemo(() => allOf(metal), [metal]);
  const canBeShaped = isActed(technique);
  const over = useCallback(
    (view: View, box: LineDrawing['box']) =>
      canBeShaped &&
      isShaping && (
        <ShapeAnswer
          technique={technique}
          values={values}
          texts={texts}
          looks={looks}
          view={view}
          box={box}
          onShape={onShape}
        />
      ),
    [technique, canBeShaped, isShaping, values, texts, looks, onShape],
  );
  const grams = massOfPlan(plan, values, () => metal);
  return (
    <>
      <section className="leaf p-4" aria-label="Drawn to scale">
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <h2>{technique.title}</h2>
          <p className="muted text-sm">
            {Math.round(minutesOfPlan(plan))} min ·{' '}
            <Said>{`${grams < 10 ? grams.toFixed(2) : grams.toFixed(1)} g`}</Said> of wire stay in the piece
          </p>
        </div>
        <PlanViews
          plan={plan}
          looks={looks}
          label={`${technique.title}, drawn to scale`}
          className="mt-2 h-[40vh] w-full lg:h-[50vh]"
          over={over}
          beside={
            canBeShaped && (
              <Tick checked={isShaping} onChange={setShaping} className="no-print mt-1">
                shape by hand
              </Tick>
            )
          }
          isRing={technique.group === 'rings'}
        />
        <ul className="mt-2 list-inside list-disc text-sm">
          {plan.notes.map((note) => (
            <li key={note}>
              <Said>{note}</Said>
            </li>
          ))}
          {plan.parts.map(({ name, count }) => (
            <li key={name}>
              {count} × <Said>{name}</Said>
            </li>
          ))}
        </ul>
      </section>
      <section className="leaf p-4" aria-label="Cuts">
        <CutStrips
          strips={plan.cuts.map((cut) => ({
            key: cut.name,
            title: cut.name,
            cut,
            spec: { ...plainSpec(values[cut.wire] as WireSize, metal), ...known[cut.wire] },
          }))}
        />
      </section>
    </>
  );
});

/** Its steps, and why some come before others. */
export const OrderOfWork = memo(function OrderOfWork({ plan }: Pick<Answer, 'plan'>) {
  return (
    <section className="leaf p-4">
      <h2>Order of work</h2>
      <ol className="mt-2 list-inside list-decimal">
        {plan.steps.map(({ id, name, minutes }) => (
          <li key={id}>
            <Said>{name}</Said>{' '}
            <span className="muted text-sm">
              <Said>{`${Number(minutes.toFixed(1))} min`}</Said>
            </span>
            {plan.order
              .filter(({ first }) => first === id)
              .map(({ then, why }) => (
                <span key={then} className="muted block pl-6 text-sm">
                  <Said>{`before “${plan.steps.find((step) => step.id === then)?.name ?? ''}”: ${why}`}</Said>
                </span>
              ))}
          </li>
        ))}
      </ol>
    </section>
  );
});
