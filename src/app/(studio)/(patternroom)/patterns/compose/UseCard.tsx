'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import { isActed } from '@/core/technique/act';
import { takesWire } from '@/core/technique/technique';
import { memo, useId, useMemo, useState } from 'react';
import { MEASURES, measureOf, type Specs, type TechniqueUse } from '@/core/pattern/composition';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import { unaskedOf } from '@/core/pattern/pullable';
import type { ResolvedUse } from '@/core/pattern/resolve';
import type { Parameter } from '@/core/technique/parameter';
import type { KnownSpec } from '@/studio/wire/specs';
import { drawingOf } from '@/ui/craft/drawingOf';
import { Judgements } from '@/ui/craft/Judgements';
import { ParameterFields } from '@/ui/craft/ParameterFields';
import { PlanDrawing } from '@/ui/craft/PlanDrawing';
import { Field, TextInput } from '@/ui/form/Field';
import { RemoveButton } from '@/ui/form/RowButtons';
import { PortFields } from './PortFields';
import { WireChoice } from './WireChoice';
import { Said } from '@/ui/house';

interface UseCardProps {
  /** As it is typed. */
  readonly use: TechniqueUse;
  /** As it was worked out last: a moment behind what is typed. */
  readonly resolved: ResolvedUse;
  readonly specs: readonly KnownSpec[];
  readonly byId: Specs;
  /** Stones, beads and findings as they are typed. */
  readonly parts: Named;
  readonly onChange: (id: string, change: Partial<TechniqueUse>, tag: string) => void;
  readonly onRemove: (id: string) => void;
  /** Whether it is drawn by itself, and not as part of a piece. */
  readonly isDrawn: boolean;
  /** Moves it before or behind another technique; undefined where it is the first or the last. */
  readonly onEarlier: ((id: string) => void) | undefined;
  readonly onLater: ((id: string) => void) | undefined;
}

/** A technique of the pattern: drawn, with its parameters and what the trade says of them. */
export const UseCard = memo(function UseCard({
  use,
  resolved,
  specs,
  byId,
  parts,
  onChange,
  onRemove,
  isDrawn,
  onEarlier,
  onLater,
}: UseCardProps) {
  const { technique, plan, wrong, refusal, judgements, offered } = resolved;
  const looks = useMemo(
    () => plan && looksOf({ uses: [resolved], plan }, byId, parts),
    [byId, resolved, plan, parts],
  );
  const acted = isActed(technique) ? technique : undefined;
  const unasked = unaskedOf(use, technique);
  // Once something in it is wrong it stays open: a fold that shut as the last digit made it right took the field away.
  const isWrong = Object.keys(wrong).length > 0;
  const [open, setOpen] = useState(isWrong);
  if (isWrong && !open) setOpen(true);
  const heading = useId();
  const change = (next: Partial<TechniqueUse>, field: string) => onChange(use.id, next, `${use.id}.${field}`);
  const before = (key: string, parameter: Parameter) => {
    const measure = measureOf(parameter);
    if (!measure) return null;
    const own = use.own.includes(key);
    return (
      <label className="flex min-h-9 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={!own}
          onChange={() =>
            change({ own: own ? use.own.filter((each) => each !== key) : [...use.own, key] }, `own.${key}`)
          }
        />
        <span>
          <strong>{parameter.label}</strong>: the pattern’s {MEASURES[measure].label.toLowerCase()}
        </span>
      </label>
    );
  };
  const instead = (key: string, parameter: Parameter) => {
    if (measureOf(parameter) && !use.own.includes(key)) return <></>;
    if (unasked.includes(key)) return <></>;
    if (parameter.kind !== 'wire') return undefined;
    return (
      <WireChoice
        parameter={parameter}
        specs={specs}
        specId={use.wires[key]}
        onChoose={(specId) => change({ wires: chosen(use.wires, key, specId) }, `wire.${key}`)}
      />
    );
  };
  const shown = Object.keys(technique.parameters);
  return (
    <section aria-labelledby={heading} className="leaf p-4">
      <div className="flex items-start justify-between gap-2">
        <div>
          <h3 id={heading}>{use.name}</h3>
          {use.name !== technique.title && <p className="muted text-sm">{technique.title}</p>}
        </div>
        <div className="flex flex-wrap justify-end">
          {onEarlier && (
            <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={() => onEarlier(use.id)}>
              <ArrowUp size={16} aria-hidden="true" />
              <span className="sr-only">Do {use.name} earlier</span>
            </button>
          )}
          {onLater && (
            <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={() => onLater(use.id)}>
              <ArrowDown size={16} aria-hidden="true" />
              <span className="sr-only">Do {use.name} later</span>
            </button>
          )}
          <RemoveButton brief what={use.name} onClick={() => onRemove(use.id)} />
        </div>
      </div>
      {isDrawn && plan && looks && takesWire(technique) && (
        <PlanDrawing
          drawing={drawingOf(plan)}
          looks={looks}
          label={`${use.name}, drawn to scale`}
          className="mt-2 h-40 w-full"
        />
      )}
      {refusal && (
        <p role="alert" className="mt-2 border-l-4 border-error bg-error/10 p-2 text-sm font-semibold">
          <Said>{refusal}</Said>
        </p>
      )}
      <Judgements of={judgements.filter(({ about }) => !shown.includes(about))} />
      {acted && (
        <div className="mt-2 space-y-2">
          <PortFields
            technique={acted}
            takes={use.takes}
            offered={offered}
            onChange={(takes, port) => change({ takes }, `takes.${port}`)}
          />
        </div>
      )}
      <details
        className="mt-2"
        open={open}
        onToggle={({ currentTarget }) => setOpen(currentTarget.open || isWrong)}
      >
        <summary className="min-h-11 cursor-pointer content-center font-semibold">
          Its measures and wires{judgements.length > 0 && ` · ${judgements.length} to consider`}
        </summary>
        <div className="mt-2 space-y-3">
          <Field label="Called here">
            {(ties) => (
              <TextInput
                {...ties}
                value={use.name}
                maxLength={60}
                onChange={(event) => change({ name: event.target.value }, 'name')}
              />
            )}
          </Field>
          <ParameterFields
            parameters={technique.parameters}
            texts={use.texts}
            wrong={wrong}
            judgements={judgements}
            onChange={(field, text) => change({ texts: { ...use.texts, [field]: text } }, field)}
            onFill={(texts) => change({ texts: { ...use.texts, ...texts } }, 'traced')}
            before={before}
            instead={instead}
          />
        </div>
      </details>
    </section>
  );
});

/** Wires with one chosen, or given up. */
function chosen(wires: TechniqueUse['wires'], key: string, specId: string): TechniqueUse['wires'] {
  if (specId !== '') return { ...wires, [key]: specId };
  return Object.fromEntries(Object.entries(wires).filter(([each]) => each !== key));
}
