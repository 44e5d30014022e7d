import type { Composition, Specs } from '@/core/pattern/composition';
import { drawnParts, type DrawnPart } from '@/core/pattern/drawnParts';
import { resolve, type Resolved } from '@/core/pattern/resolve';
import type { Techniques } from '@/core/technique/technique';
import { CAUTIONS } from '@/core/technique/cautions';
import { SMALL } from '@/core/drawing/lineDrawing';
import { drawPlan } from '@/core/technique/drawPlan';
import { Judgements } from './Judgements';
import { metalOfPart } from './metalOfPart';
import { PieceHangs } from './PieceHangs';
import { PlanDrawing } from './PlanDrawing';

/** A piece that is drawn from this many sides stands by itself. */
const SIDES = ['front', 'back', 'side'] as const;

/** A piece of a pattern from all sides, to one scale as far as its room goes. */
function FromAllSides({ part, specs }: { part: DrawnPart; specs: Specs }) {
  return (
    <div className="mt-1 grid grid-cols-3 gap-2">
      {SIDES.map((view) => (
        <figure key={view} className="min-w-0">
          <PlanDrawing
            drawing={drawPlan(part.plan, part.values, undefined, view)}
            metalOf={metalOfPart(part, specs)}
            label={`${part.name}, drawn to scale, from the ${view}`}
            className="h-64 w-full md:h-96"
          />
          <figcaption className="muted text-center text-sm">{view}</figcaption>
        </figure>
      ))}
    </div>
  );
}

/** A pattern drawn to scale: its pieces from all sides, its other techniques from the front, with what the trade says of each. */
export function PiecesDrawn({ resolved, specs }: { resolved: Resolved; specs: Specs }) {
  const cautions = [...new Set(resolved.steps.flatMap((step) => step.cautions))];
  const parts = drawnParts(resolved);
  const whole = parts.filter(({ plan }) => plan.run);
  const single = parts.filter(({ plan }) => !plan.run);
  const undrawn = resolved.uses.filter(
    ({ use }) => !parts.some(({ uses }) => uses.some((each) => each.use === use)),
  );
  return (
    <section className="leaf mt-4 p-4" aria-label="Drawn to scale">
      {whole.map((part) => (
        <div key={part.id}>
          <h3>{part.name}</h3>
          <FromAllSides part={part} specs={specs} />
          <PieceHangs part={part} specs={specs} />
          {part.uses.map((each) => (
            <Judgements key={each.use.id} of={each.judgements} />
          ))}
        </div>
      ))}
      <ul className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {single.map((part) => (
          <li key={part.id}>
            <h3>{part.name}</h3>
            <PlanDrawing
              drawing={drawPlan(part.plan, part.values)}
              metalOf={metalOfPart(part, specs)}
              label={`${part.name}, drawn to scale`}
              className="mt-1 h-44 w-full"
            />
            {part.uses.map((each) => (
              <Judgements key={each.use.id} of={each.judgements} />
            ))}
          </li>
        ))}
        {undrawn.map(({ use, judgements }) => (
          <li key={use.id}>
            <h3>{use.name}</h3>
            <Judgements of={judgements} />
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

/** A pattern, small: its piece, or the first of its techniques. */
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
  const [first] = drawnParts(resolve(composition, specs, techniques));
  if (!first) return null;
  return (
    <PlanDrawing
      drawing={drawPlan(first.plan, first.values, SMALL)}
      metalOf={metalOfPart(first, specs)}
      label={`${label}, drawn to scale`}
      className="mt-2 h-28 w-full"
    />
  );
}
