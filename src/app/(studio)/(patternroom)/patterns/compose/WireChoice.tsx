'use client';

import { memo, useState } from 'react';
import type { WireParameter } from '@/core/parameter/parameter';
import type { WireSize } from '@/core/wire/wireSize';
import { UM_PER_MM } from '@/core/units/length';
import { describeSpec, describeSize } from '@/core/wire/spec';
import { isTradeWire } from '@/core/wire/tradeWires';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';
import { Field } from '@/ui/form/Field';

/** How far a wire is from what a technique proposes: those that come near stand first. */
const unlike = ({ profile, width }: WireSize, spec: KnownSpec): number =>
  Math.abs(Math.log(spec.width / UM_PER_MM / width)) + (spec.profile === profile ? 0 : 1);

/** What is near enough to be offered first. */
const NEAR = 0.13;

/** What asks for all of them. */
const ALL = 'all';

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
  // Hundreds of wires are sold; they are listed once they are wanted.
  const [all, setAll] = useState(false);
  const chosen = specs.find(({ id }) => id === specId);
  const isFar = chosen !== undefined && isTradeWire(chosen.id) && unlike(parameter.initial, chosen) >= NEAR;
  return (
    <Field
      label={parameter.label}
      hint={
        chosen
          ? `${describeSize(chosen)}${isTradeWire(chosen.id) ? ', to be bought' : ''}`
          : 'Not cut from any wire yet: its size is as it is typed here.'
      }
    >
      {(ties) => (
        <select
          {...ties}
          className="select w-full text-base"
          value={specId ?? ''}
          onChange={({ target: { value } }) => (value === ALL ? setAll(true) : onChoose(value))}
        >
          <option value="">None yet: a size that is typed</option>
          <WireOptions proposed={parameter.initial} specs={specs} isAll={all || isFar} />
          {!all && <option value={ALL}>Every wire that is sold …</option>}
        </select>
      )}
    </Field>
  );
}

/** The wires to choose from; there are hundreds, and they stay while one types elsewhere. */
const WireOptions = memo(function WireOptions({
  proposed,
  specs,
  isAll,
}: {
  proposed: WireSize;
  specs: readonly KnownSpec[];
  /** Whether wires that are far from the proposed size are listed too. */
  isAll: boolean;
}) {
  const own = specs.filter(({ id }) => !isTradeWire(id));
  const near = own.filter((spec) => unlike(proposed, spec) < NEAR);
  const groups: readonly (readonly [string, readonly KnownSpec[]])[] = [
    ['Of the proposed size', near],
    ['Others', own.filter((spec) => !near.includes(spec))],
    [
      'To be bought',
      specs.filter((spec) => isTradeWire(spec.id) && (isAll || unlike(proposed, spec) < NEAR)),
    ],
  ];
  return groups.map(
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
  );
});
