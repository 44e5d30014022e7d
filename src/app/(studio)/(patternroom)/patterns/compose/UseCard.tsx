'use client';

import { ArrowDown, ArrowUp, FlipHorizontal2 } from 'lucide-react';
import { isActed } from '@/core/technique/act';
import { takesWire } from '@/core/technique/technique';
import { memo, useEffect, useId, useMemo, useRef, useState } from 'react';
import { MEASURES, measureOf, type Specs, type TechniqueUse } from '@/core/pattern/composition';
import { looksOf, type Named } from '@/core/pattern/looksOf';
import { unaskedOf } from '@/core/pattern/pullable';
import type { ResolvedUse } from '@/core/pattern/resolve';
import type { Parameter } from '@/core/parameter/parameter';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { smallDrawingOf } from '@/ui/craft/drawingOf';
import { Judgements, type JudgementShowing } from '@/ui/craft/Judgements';
import { ParameterFields } from '@/ui/craft/ParameterFields';
import { PlanDrawing } from '@/ui/craft/PlanDrawing';
import { Field, TextInput } from '@/ui/form/Field';
import { RemoveButton } from '@/ui/form/RowButtons';
import { isTyping } from '@/ui/useKeys';
import { GO_ON } from './GoOnFrom';
import type { Pointed } from './pointed';
import { PortFields } from './PortFields';
import { WireChoice } from './WireChoice';
import { Said } from '@/ui/house';

interface UseCardProps {
  /** As it is typed. */
  readonly use: TechniqueUse;
  /** What it is called, told apart from others of its name. */
  readonly label: string;
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
  /** What is said by the judgement of it that is shown on the picture. */
  readonly pointed: string | undefined;
  readonly onPoint: (pointed: Pointed | undefined) => void;
  /** How often its measures were asked for; 0 when those of another were asked for since. */
  readonly asked: number;
  /** Whether it was added last: its measures are what one goes on with. */
  readonly isFresh: boolean;
  /** What it is alike to on the other side, by name. */
  readonly follows: string | undefined;
  /** Does it on the other side too; undefined where that is not free. */
  readonly onMirror: ((id: string) => void) | undefined;
  readonly onCutLoose: (id: string) => void;
  /** Moves it before or behind another technique; undefined where it is the first or the last. */
  readonly onEarlier: ((id: string) => void) | undefined;
  readonly onLater: ((id: string) => void) | undefined;
}

/** A technique of the pattern: drawn, with its parameters and what the trade says of them. */
export const UseCard = memo(function UseCard({
  use,
  label,
  resolved,
  specs,
  byId,
  parts,
  onChange,
  onRemove,
  isDrawn,
  pointed,
  onPoint,
  asked,
  isFresh,
  follows,
  onMirror,
  onCutLoose,
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
  const [open, setOpen] = useState(isWrong || isFresh);
  if (isWrong && !open) setOpen(true);
  const [wasFresh, setWasFresh] = useState(isFresh);
  if (wasFresh !== isFresh) {
    setWasFresh(isFresh);
    setOpen(isFresh || isWrong);
  }
  const [wasAsked, setWasAsked] = useState(asked);
  if (wasAsked !== asked) {
    setWasAsked(asked);
    if (asked > 0) setOpen(true);
  }
  const heading = useId();
  const card = useRef<HTMLElement>(null);
  const [isNew] = useState(isFresh);
  // What was just added is what one goes on with: Tab comes to its measures next, and nothing moves on the page.
  // Where it comes late, one may be typing what the piece is made for by then.
  useEffect(() => {
    if (isNew && !isTyping(document.activeElement)) card.current?.focus({ preventScroll: true });
  }, [isNew]);
  // Asked for before it was here, as by an undo, it is not come to once more.
  const [askedBefore] = useState(asked);
  useEffect(() => {
    if (asked > 0 && asked !== askedBefore) card.current?.focus();
  }, [asked, askedBefore]);
  const change = (next: Partial<TechniqueUse>, field: string) => onChange(use.id, next, `${use.id}.${field}`);
  const before = (key: string, parameter: Parameter) => {
    if (parameter.kind === 'wire' && !unasked.includes(key))
      return (
        <WireChoice
          parameter={parameter}
          specs={specs}
          specId={use.wires[key]}
          onChoose={(specId) => change({ wires: chosen(use.wires, key, specId) }, `wire.${key}`)}
        />
      );
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
    // The size of what is cut from a wire of the studio is that wire’s; without one it is typed.
    if (unasked.includes(key) || (parameter.kind === 'wire' && byId[use.wires[key] ?? ''])) return <></>;
    return undefined;
  };
  const shown = Object.keys(technique.parameters);
  // What is drawn on its card alone is where it is.
  const showing: JudgementShowing | undefined = isDrawn
    ? undefined
    : {
        isShown: ({ said }) => said === pointed,
        onShow: ({ said }) => onPoint(said === pointed ? undefined : { use: use.id, said }),
      };
  return (
    <section ref={card} tabIndex={-1} aria-labelledby={heading} className="leaf p-4">
      <div className="flex items-start justify-between gap-2">
        <div>
          <h3 id={heading}>{label}</h3>
          {use.name !== technique.title && <p className="muted text-sm">{technique.title}</p>}
        </div>
        <div className="flex flex-wrap justify-end">
          {onEarlier && (
            <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={() => onEarlier(use.id)}>
              <ArrowUp size={16} aria-hidden="true" />
              <span className="sr-only">Do {label} earlier</span>
            </button>
          )}
          {onLater && (
            <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={() => onLater(use.id)}>
              <ArrowDown size={16} aria-hidden="true" />
              <span className="sr-only">Do {label} later</span>
            </button>
          )}
          <RemoveButton brief what={label} onClick={() => onRemove(use.id)} />
        </div>
      </div>
      {isDrawn && plan && looks && takesWire(technique) && (
        <PlanDrawing
          drawing={smallDrawingOf(plan)}
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
      <Judgements of={judgements.filter(({ about }) => !shown.includes(about))} showing={showing} />
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
      {onMirror && (
        <button
          type="button"
          className="btn btn-sm mt-2 min-h-11"
          aria-label={`Mirror it on the other side: ${label}`}
          onClick={() => onMirror(use.id)}
        >
          <FlipHorizontal2 size={16} aria-hidden="true" /> Mirror it on the other side
        </button>
      )}
      {follows === undefined ? (
        <details
          className="mt-2"
          open={open}
          // It tells of what was done here too, a moment later: what is so already is not said once more, or it would undo what came in between.
          onToggle={({ currentTarget }) => {
            if (currentTarget.open !== open) setOpen(currentTarget.open || isWrong);
          }}
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
              showing={showing}
              onChange={(field, text) => change({ texts: { ...use.texts, [field]: text } }, field)}
              onFill={(texts) => change({ texts: { ...use.texts, ...texts } }, 'traced')}
              before={before}
              instead={instead}
            />
            {isFresh && <GoOnButton />}
          </div>
        </details>
      ) : (
        <p className="mt-2 border-l-4 border-base-300 pl-3 text-sm">
          Alike to {follows}, mirrored: what changes there changes here.{' '}
          <button
            type="button"
            className="link min-h-11"
            aria-label={`Cut it loose: ${label}`}
            onClick={() => onCutLoose(use.id)}
          >
            Cut it loose
          </button>
        </p>
      )}
    </section>
  );
});

/** Leads back to what a piece goes on from. */
function GoOnButton() {
  return (
    <button
      type="button"
      className="btn btn-sm min-h-11"
      onClick={() => document.querySelector<HTMLElement>(`[${GO_ON}] button`)?.focus()}
    >
      Go on from another end
    </button>
  );
}

/** Wires with one chosen, or given up. */
function chosen(wires: TechniqueUse['wires'], key: string, specId: string): TechniqueUse['wires'] {
  if (specId !== '') return { ...wires, [key]: specId };
  return Object.fromEntries(Object.entries(wires).filter(([each]) => each !== key));
}
