import type { ReactNode } from 'react';
import { afterStepsInOrder } from '@/core/pattern/afterSteps';
import type { Composition, Specs } from '@/core/pattern/composition';
import { drawnPaths, viewBoxOf } from '@/core/drawing/drawingSvg';
import { saidFrom, viewsOf } from '@/core/drawing/view';
import { drawnParts, isRing, type DrawnPart } from '@/core/pattern/drawnParts';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import type { Looks } from '@/core/drawing/look';
import { hangingOf } from '@/core/pattern/hangs';
import { checksIn } from '@/core/pattern/pieceChecks';
import type { Remark } from '@/core/pattern/remark';
import { pictureOf, type Pictured } from '@/core/pattern/pictureOf';
import type { Resolved } from '@/core/pattern/resolve';
import type { Techniques } from '@/core/technique/technique';
import { CAUTIONS } from '@/core/technique/cautions';
import { drawPlan, drawSmall } from '@/core/plan/drawPlan';
import { Judgements } from './Judgements';
import { PieceHangs } from './PieceHangs';
import { PlanDrawing } from './PlanDrawing';
import { CHECKS, Remarks } from './Remarks';
import { TurnPart } from './TurnPart';

/** A piece of a pattern from all sides, to one scale as far as its room goes. */
function FromAllSides({ part, looks }: { part: DrawnPart; looks: Looks }) {
  return (
    <div className={`mt-1 grid gap-2 ${isRing(part) ? 'grid-cols-2 md:grid-cols-4' : 'grid-cols-3'}`}>
      {viewsOf(isRing(part)).map((view) => (
        <figure key={view} className="min-w-0">
          <PlanDrawing
            drawing={drawPlan(part.plan, undefined, view)}
            looks={looks}
            label={`${part.name}, drawn to scale, ${saidFrom(view)}`}
            className="h-64 w-full md:h-96 print:h-56"
          />
          <figcaption className="muted text-center text-sm">{view}</figcaption>
        </figure>
      ))}
    </div>
  );
}

/** A piece after every step that changes what is seen of it, small; the steps are numbered as in the order of the work. */
function AfterEachStep({ part, looks, steps }: { part: DrawnPart; looks: Looks; steps: Resolved['steps'] }) {
  const stages = afterStepsInOrder(part, steps);
  if (stages.length < 2) return null;
  return (
    <>
      <h4 className="mt-3">After each step</h4>
      <ol
        className="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-4 lg:grid-cols-6"
        aria-label={`${part.name}, step by step`}
      >
        {stages.map(({ id, number, name, plan }) => (
          <li key={id} className="min-w-0">
            <PlanDrawing
              drawing={drawSmall(plan)}
              looks={looks}
              label={`${part.name} after step ${number}`}
              className="h-28 w-full print:h-20"
            />
            <p className="text-sm">
              <span className="muted">{number}.</span> {name}
            </p>
          </li>
        ))}
      </ol>
    </>
  );
}

/** What is to be seen of a piece, or of a technique alone that goes on from no other. */
const checksOf = ({ piece, plan: { run } }: DrawnPart): readonly Remark[] =>
  piece ? checksIn(piece) : run ? checksIn({ run, hang: undefined }) : [];

/** How a piece hangs; nothing of one that is not made to. */
function Hangs({ part: { piece }, looks }: { part: DrawnPart; looks: Looks }) {
  const hangs = piece && hangingOf(piece, looks);
  return hangs && piece.hang && <PieceHangs hangs={hangs} at={piece.hang} />;
}

/** A pattern drawn to scale: its pieces from all sides and after each step, with what the trade says of each. */
export function PiecesDrawn({
  composition,
  resolved,
  specs,
  parts,
  touchesOf,
}: {
  composition: Composition;
  resolved: Resolved;
  specs: Specs;
  /** Its stones, beads and findings. */
  parts: Named;
  /** What comes later of a part, by the id of its first technique: where its wires have no room. */
  touchesOf: (part: string) => ReactNode;
}) {
  const cautions = [...new Set(resolved.steps.flatMap((step) => step.cautions))];
  const drawn = drawnParts(resolved);
  const undrawn = resolved.uses.filter(
    ({ use }) => !drawn.some(({ uses }) => uses.some((each) => each.use === use)),
  );
  return (
    <section className="leaf runs-on mt-4 p-4" aria-label="Drawn to scale">
      {drawn.map((part) => {
        const looks = looksOf(part, specs, parts);
        return (
          <div key={part.id}>
            <h3>{part.name}</h3>
            <FromAllSides part={part} looks={looks} />
            <TurnPart
              composition={composition}
              specs={specs}
              part={part.id}
              name={part.name}
              parts={parts.map(({ name }) => ({ name }))}
            />
            <Hangs part={part} looks={looks} />
            <Remarks of={checksOf(part)} label={CHECKS} />
            {touchesOf(part.id)}
            <AfterEachStep part={part} looks={looks} steps={resolved.steps} />
            {part.uses.map((each) => (
              <Judgements key={each.use.id} of={each.judgements} />
            ))}
          </div>
        );
      })}
      <ul className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
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

/** A pattern, small: its paths are one text, which a browser takes as it is and does not go through once more. */
export function PatternPicture({
  of,
  specs,
  techniques,
  label,
}: {
  of: Pictured;
  specs: Specs;
  techniques: Techniques;
  label: string;
}) {
  const { drawing, looks } = pictureOf(of, specs, techniques);
  return (
    <svg
      role="img"
      aria-label={`${label}, drawn to scale`}
      viewBox={viewBoxOf(drawing)}
      className="mt-2 h-28 w-full"
      fill="none"
      strokeLinejoin="round"
      strokeLinecap="round"
      dangerouslySetInnerHTML={{ __html: drawnPaths(drawing, looks) }}
    />
  );
}
