import { parseLength } from '@/core/units/length';
import { gaugeSize, labelTyped, type GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import { hasOwnHeight, usualHeight, type Profile } from '@/core/wire/profile';
import type { WireSpec } from '@/core/wire/spec';
import type { WireSpecInput } from './receiveWire.input';

/** The spec that a form describes, as far as it is typed: undefined until its size can be read. Runs in the browser too. */
export function specFromInput(input: WireSpecInput): WireSpec | undefined {
  const typed = labelTyped(input.gaugeSystem as GaugeSystem, input.gaugeNumber);
  if (!typed.ok) return undefined;
  const label = typed.value;
  const width = gaugeSize(label);
  if (!width.ok) return undefined;
  const profile = input.profile as Profile;
  const height = hasOwnHeight(profile) ? parseLength(input.height) : undefined;
  return {
    metal: input.metal as MetalId,
    profile,
    width: width.value,
    height: height?.ok && height.value > 0 ? height.value : usualHeight(profile, width.value),
    temper: input.temper as Temper,
    finish: input.finish as Finish,
    finishName: input.finish === 'bare' ? '' : input.finishName.trim(),
    label,
  };
}
