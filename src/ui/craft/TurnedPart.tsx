'use client';

import { useMemo } from 'react';
import type { Composition, Specs } from '@/core/pattern/composition';
import { drawnParts } from '@/core/pattern/drawnParts';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import { resolve } from '@/core/pattern/resolve';
import { stepByStep } from '@/core/pattern/stepByStep';
import { drawPlan } from '@/core/plan/drawPlan';
import { PlanDrawing } from './PlanDrawing';
import RoundView from './RoundView';
import { useTechniques } from './useTechniques';

/** Which piece of a pattern is turned: one that is finished, by the id of its first technique, or what is there when a step is done, counted from 1. */
export type Turned = { readonly part: string } | { readonly afterStep: number };

/** A piece of a pattern in the round, worked out where it is looked at. */
export default function TurnedPart({
  composition,
  specs,
  turned,
  name,
  parts,
  className = 'h-80 w-full md:h-[28rem]',
}: {
  composition: Composition;
  specs: Specs;
  turned: Turned;
  name: string;
  parts: Named;
  className?: string;
}) {
  const techniques = useTechniques(composition.uses.map(({ technique }) => technique));
  const resolved = useMemo(() => resolve(composition, specs, techniques), [composition, specs, techniques]);
  const isStep = 'afterStep' in turned;
  const choices = useMemo(
    () =>
      isStep
        ? stepByStep(resolved).map(({ seen: then }) => then)
        : drawnParts(resolved).map((part) => ({ part, plan: part.plan })),
    [resolved, isStep],
  );
  const seen = isStep ? choices[turned.afterStep - 1] : choices.find((each) => each?.part.id === turned.part);
  const looks = useMemo(() => seen && looksOf(seen.part, specs, parts), [seen, specs, parts]);
  if (!looks || !seen?.plan.run) return null;
  return (
    <div className="mt-2">
      <RoundView
        run={seen.plan.run}
        looks={looks}
        label={name}
        className={className}
        still={
          <PlanDrawing
            drawing={drawPlan(seen.plan)}
            looks={looks}
            label={`${name}, drawn to scale`}
            className={className}
          />
        }
      />
    </div>
  );
}
