'use client';

import { useMemo } from 'react';
import type { Composition, Specs } from '@/core/pattern/composition';
import { drawnParts } from '@/core/pattern/drawnParts';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import { resolve } from '@/core/pattern/resolve';
import { drawPlan } from '@/core/technique/drawPlan';
import { PlanDrawing } from './PlanDrawing';
import RoundView from './RoundView';
import { useTechniques } from './useTechniques';

/** A piece of a pattern in the round, worked out where it is looked at. */
export default function TurnedPart({
  composition,
  specs,
  part: id,
  name,
  parts,
}: {
  composition: Composition;
  specs: Specs;
  part: string;
  name: string;
  parts: Named;
}) {
  const techniques = useTechniques(composition.uses.map(({ technique }) => technique));
  const part = useMemo(
    () => drawnParts(resolve(composition, specs, techniques)).find((each) => each.id === id),
    [composition, specs, techniques, id],
  );
  const looks = useMemo(() => part && looksOf(part, specs, parts), [part, specs, parts]);
  if (!looks || !part?.plan.run) return null;
  return (
    <div className="mt-2">
      <RoundView
        run={part.plan.run}
        looks={looks}
        label={name}
        className="h-80 w-full md:h-[28rem]"
        still={
          <PlanDrawing
            drawing={drawPlan(part.plan)}
            looks={looks}
            label={`${name}, drawn to scale`}
            className="h-80 w-full"
          />
        }
      />
    </div>
  );
}
