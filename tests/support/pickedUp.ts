import type { Composition } from '@/core/pattern/composition';
import { goneOn } from '@/core/pattern/goneOn';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/techniques/registry';
import { goingOnOf, takesFor } from '@/core/plan/takesFor';
import { named } from './techniques';

const AT_HAND = { specs: {}, techniques: techniqueOf };

/** A composition that goes on with a technique from what is called so in it, as one that points at it does. */
export function pickedUp(before: Composition, technique: string, ...labels: readonly string[]): Composition {
  const { left } = resolve(before, {}, techniqueOf);
  const takes = takesFor(
    goingOnOf(named(technique)),
    left.filter(({ label }) => labels.includes(label)),
  );
  return goneOn(before, named(technique), takes, AT_HAND);
}
