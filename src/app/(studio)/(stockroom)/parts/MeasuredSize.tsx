'use client';

import { useController, useWatch, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { MetalId } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';
import { type WireSpec } from '@/core/wire/spec';
import { suggestSpecs } from '@/core/wire/suggestSpec';
import type { WireSpecInput } from '@/studio/wire/receiveWire.input';
import { specValues } from '@/studio/wire/specValues';
import { WireChip } from '@/ui/WireChip';
import { CalliperPanel } from './CalliperPanel';

/** How many wires of the studio are suggested for one reading. */
const SUGGESTED = 4;

/**
 * The calliper beside the fields of a wire: a label that it suggests, or the whole of a wire that the studio has, is put into
 * them.
 */
export function MeasuredSize<Values extends FieldValues & WireSpecInput>({
  control,
  specs,
}: {
  control: Control<Values>;
  /** The wires that the studio knows. */
  specs: readonly WireSpec[];
}) {
  const at = (name: keyof WireSpecInput) => name as FieldPath<Values>;
  const field = (name: keyof WireSpecInput) => at(name);
  const fields = {
    metal: useController({ control, name: field('metal') }).field,
    profile: useController({ control, name: field('profile') }).field,
    gaugeSystem: useController({ control, name: field('gaugeSystem') }).field,
    gaugeNumber: useController({ control, name: field('gaugeNumber') }).field,
    height: useController({ control, name: field('height') }).field,
    temper: useController({ control, name: field('temper') }).field,
    finish: useController({ control, name: field('finish') }).field,
    finishName: useController({ control, name: field('finishName') }).field,
  } satisfies Record<keyof WireSpecInput, unknown>;
  const [metal, profile] = useWatch({ control, name: [at('metal'), at('profile')] }) as [MetalId, Profile];
  const take = (values: Partial<WireSpecInput>) => {
    for (const [name, value] of Object.entries(values)) fields[name as keyof WireSpecInput].onChange(value);
  };
  return (
    <CalliperPanel
      onTake={({ system, number }) => take({ gaugeSystem: system, gaugeNumber: number })}
      suggest={(reading) => {
        const near = suggestSpecs(reading, specs, { metal, profile }).slice(0, SUGGESTED);
        return (
          near.length > 0 && (
            <section aria-label="Wires of the studio it may be" className="mt-2">
              <h4 className="text-sm font-semibold">Of the wires you have, it may be</h4>
              <ul className="mt-1 flex flex-wrap gap-2">
                {near.map((spec) => (
                  <li key={`${spec.label.system} ${JSON.stringify(specValues(spec))}`}>
                    <button
                      type="button"
                      className="btn h-auto py-1 text-left"
                      onClick={() => take(specValues(spec))}
                    >
                      <WireChip spec={spec} />
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )
        );
      }}
    />
  );
}
