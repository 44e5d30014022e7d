import type { Composition, Specs } from '@/core/pattern/composition';
import { drawnParts } from '@/core/pattern/drawnParts';
import { resolve } from '@/core/pattern/resolve';
import type { Remark } from '@/core/pattern/remark';
import { touchesIn } from '@/core/pattern/touches';
import { techniqueOf } from '@/core/techniques/registry';

/** A composition that is looked at, and the specs of its wires. */
export interface TouchesAsked {
  readonly composition: Composition;
  readonly specs: Specs;
}

/** Where the wires of a part of it lie in one another or in its stones. */
export interface PartTouches {
  /** The id of its first technique. */
  readonly part: string;
  readonly touches: readonly Remark[];
}

/** Looks at every part of a composition, see {@link touchesIn}. It keeps its thread until it is done. */
export async function lookForTouches({ composition, specs }: TouchesAsked): Promise<readonly PartTouches[]> {
  return Promise.resolve(
    drawnParts(resolve(composition, specs, techniqueOf)).flatMap(({ id, plan: { run } }) =>
      run ? [{ part: id, touches: touchesIn(run) }] : [],
    ),
  );
}
