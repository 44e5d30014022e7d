'use client';

import type { WireParameter, WireSize } from '@/core/technique/parameter';
import { UM_PER_MM } from '@/core/units/length';
import { describeSpec, describeSize } from '@/core/wire/spec';
import { isTradeWire } from '@/core/wire/tradeWires';
import type { KnownSpec } from '@/studio/wire/specs';
import { Field } from '@/ui/form/Field';

/** How far a wire is from what a technique proposes: those that come near stand first. */
const unlike = ({ profile, width }: WireSize, spec: KnownSpec): number =>
  Math.abs(Math.log(spec.width / UM_PER_MM / width)) + (spec.profile === profile ? 0 : 1);

/** What is near enough to be offered first. */
const NEAR = 0.13;

/** The studio’s wire that a wire of a technique is cut from. */
export function WireChoice({
  parameter,
  specs,
  specId,
  onChoose,
}: {
  parameter: WireParameter;
  specs: readonly KnownSpec[];
  specId: string | undefined;
  onChoose: (specId: string) => void;
}) {
  const own = specs.filter(({ id }) => !isTradeWire(id));
  const near = own.filter((spec) => unlike(parameter.initial, spec) < NEAR);
  const groups: readonly (readonly [string, readonly KnownSpec[]])[] = [
    ['Of the proposed size', near],
    ['Others', own.filter((spec) => !near.includes(spec))],
    ['To be bought', specs.filter((spec) => !own.includes(spec))],
  ];
  const chosen = specs.find(({ id }) => id === specId);
  return (
    <Field
      label={parameter.label}
      hint={
        chosen
          ? `${describeSize(chosen)}${isTradeWire(chosen.id) ? ', to be bought' : ''}`
          : 'Not cut from any wire yet; drawn at the proposed size.'
      }
    >
      {(ties) => (
        <select
          {...ties}
          className="select w-full text-base"
          value={specId ?? ''}
          onChange={(event) => onChoose(event.target.value)}
        >
          <option value="">Choose a wire…</option>
          {groups.map(
            ([label, wires]) =>
              wires.length > 0 && (
                <optgroup key={label} label={label}>
                  {wires.map((spec) => (
                    <option key={spec.id} value={spec.id}>
                      {describeSpec(spec)}
                    </option>
                  ))}
                </optgroup>
              ),
          )}
        </select>
      )}
    </Field>
  );
}
