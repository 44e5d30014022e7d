import { drawnParts } from '@/core/pattern/drawnParts';
import { looksOf } from '@/core/pattern/looksOf';
import { resolve } from '@/core/pattern/resolve';
import { tag } from '@/core/tag';
import { drawSmall } from '@/core/plan/drawPlan';
import type { Texts } from '@/core/parameter/readTexts';
import { techniqueOf } from '@/core/techniques/registry';
import type { CostUnits } from '@/core/units/money';
import { formatGauge } from '@/core/wire/gauge';
import type { Fitted } from '@/studio/fitting/fitting';
import { Judgements } from '@/ui/craft/Judgements';
import { PlanDrawing } from '@/ui/craft/PlanDrawing';
import { Said } from '@/ui/house';
import { Length, Reckoned } from '@/ui/lengths';
import { Link } from '@/ui/Link';
import { Cost } from '@/ui/money';
import { WireChip } from '@/ui/WireChip';

/** A pattern as it would be for what is tried on: drawn, how much wire, what it costs, and what stands against it. */
export function Tried({
  fitted,
  texts,
  costs,
  begin,
}: {
  fitted: Fitted;
  texts: Texts;
  costs: CostUnits | undefined;
  /** Where it is composed on for this; undefined when it cannot be. */
  begin: string | undefined;
}) {
  const { number, name, kind, body, refusal, specs, wires, shortages, judgements, minutes } = fitted;
  const { composition } = body;
  const faults = judgements.filter(({ weight }) => weight === 'fault');
  const advice = judgements.filter(({ weight }) => weight === 'advice');
  const first =
    composition &&
    drawnParts(resolve(composition, specs, techniqueOf, { ...composition.measures, ...texts }))[0];
  return (
    <li className="leaf p-4">
      <p className="flex items-baseline justify-between gap-3">
        {number === null ? (
          <span className="font-display font-semibold">{name}</span>
        ) : (
          <Link href={`/patterns/${tag('pattern', number)}`} className="link font-display font-semibold">
            {name}
          </Link>
        )}
        <span className="muted text-sm">
          {kind} · {Math.round(minutes)} min
          {costs !== undefined && refusal === '' && (
            <>
              {' '}
              · costs <Cost of={costs} />
            </>
          )}
        </span>
      </p>
      {first && (
        <PlanDrawing
          drawing={drawSmall(first.plan)}
          looks={looksOf(first, specs, body.parts)}
          label={`${name}, drawn to scale`}
          className="mt-2 h-28 w-full"
        />
      )}
      {refusal ? (
        <p className="mt-2 border-l-4 border-warning bg-warning/15 p-2 text-sm">
          <strong>Not for this:</strong> <Said>{refusal}</Said>
        </p>
      ) : (
        <ul className="mt-2 space-y-1">
          {wires.map(({ spec, length }) => (
            <li key={spec.id} className="flex items-center justify-between gap-3">
              <WireChip spec={spec} />
              <span className="font-semibold">
                <Reckoned of={length} cut />
              </span>
            </li>
          ))}
        </ul>
      )}
      {shortages.map(({ specId, spec, missing }) => (
        <p key={specId} className="mt-1 text-sm font-semibold text-error">
          <Length of={missing} short /> {spec ? `of ${formatGauge(spec.label)} ${spec.metal}` : ''} are not on
          the rack
        </p>
      ))}
      {refusal === '' && faults.length > 0 && (
        <div className="mt-2">
          <Judgements of={faults} />
        </div>
      )}
      {refusal === '' && advice.length > 0 && (
        <ul className="muted mt-2 list-inside list-disc text-sm">
          {advice.map(({ said, about }) => (
            <li key={`${about} ${said}`}>
              <Said>{said}</Said>
            </li>
          ))}
        </ul>
      )}
      {begin && (
        <p className="no-print mt-3">
          <Link href={begin} className="btn btn-sm min-h-11" aria-label={`Compose it for this: ${name}`}>
            Compose it for this
          </Link>
        </p>
      )}
    </li>
  );
}
