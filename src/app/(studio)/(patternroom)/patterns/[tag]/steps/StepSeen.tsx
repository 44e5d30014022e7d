'use client';

import { useMemo } from 'react';
import type { Specs } from '@/core/pattern/composition';
import { isRing } from '@/core/pattern/drawnParts';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import type { WorkedStep } from '@/core/pattern/stepByStep';
import { PlanViews } from '@/ui/craft/PlanViews';

/** The piece when a step is done, large, from all sides and in the round. */
export function StepSeen({
  seen: { part, plan },
  specs,
  parts,
  name,
}: {
  readonly seen: NonNullable<WorkedStep['seen']>;
  readonly specs: Specs;
  readonly parts: Named;
  /** Of the step. */
  readonly name: string;
}) {
  const looks = useMemo(() => looksOf(part, specs, parts), [part, specs, parts]);
  return (
    <section className="leaf p-2" aria-label="When it is done">
      <PlanViews
        plan={plan}
        looks={looks}
        label={`After “${name}”, drawn to scale`}
        className="h-[46vh] w-full lg:h-[56vh]"
        isRing={isRing(part)}
      />
    </section>
  );
}
