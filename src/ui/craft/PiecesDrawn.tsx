import type { Composition, Specs } from '@/core/pattern/composition';
import { resolve, type Resolved, type ResolvedUse } from '@/core/pattern/resolve';
import { takesWire, type Techniques } from '@/core/technique/technique';
import { CAUTIONS } from '@/core/technique/cautions';
import { SMALL } from '@/core/drawing/lineDrawing';
import { drawPlan } from '@/core/technique/drawPlan';
import type { MetalId } from '@/core/wire/metal';
import { UNCHOSEN } from './unchosen';
import { Judgements } from './Judgements';
import { PlanDrawing } from './PlanDrawing';

const metalOf =
  ({ use }: ResolvedUse, specs: Specs) =>
  (wire: string): MetalId =>
    specs[use.wires[wire] ?? '']?.metal ?? UNCHOSEN;

/** The techniques of a pattern, each drawn to scale, with what the trade says of it. */
export function PiecesDrawn({ resolved, specs }: { resolved: Resolved; specs: Specs }) {
  const cautions = [...new Set(resolved.steps.flatMap((step) => step.cautions))];
  return (
    <section className="leaf mt-4 p-4" aria-label="Drawn to scale">
      <ul className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {resolved.uses.map((each) => (
          <li key={each.use.id}>
            <h3>{each.use.name}</h3>
            {each.plan && each.values && takesWire(each.technique) && (
              <PlanDrawing
                drawing={drawPlan(each.plan, each.values)}
                metalOf={metalOf(each, specs)}
                label={`${each.use.name}, drawn to scale`}
                className="mt-1 h-44 w-full"
              />
            )}
            <Judgements of={each.judgements} />
          </li>
        ))}
      </ul>
      {cautions.length > 0 && (
        <ul className="mt-3 list-inside list-disc border-t border-base-300 pt-2 text-sm">
          {cautions.map((caution) => (
            <li key={caution}>{CAUTIONS[caution]}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The first technique of a pattern, small: what the piece is known by. */
export function FirstDrawn({
  composition,
  specs,
  techniques,
  label,
}: {
  composition: Composition;
  specs: Specs;
  techniques: Techniques;
  label: string;
}) {
  const first = resolve(composition, specs, techniques).uses.find(
    ({ plan, technique }) => plan && takesWire(technique),
  );
  if (!first?.plan || !first.values) return null;
  return (
    <PlanDrawing
      drawing={drawPlan(first.plan, first.values, SMALL)}
      metalOf={metalOf(first, specs)}
      label={`${label}, drawn to scale`}
      className="mt-2 h-28 w-full"
    />
  );
}
