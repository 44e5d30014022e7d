import type { WireSpec } from '@/core/wire/spec';
import type { WireSpecInput } from './receiveWire.input';

/** A wire as the fields of a form say it. */
export function specValues({
  metal,
  profile,
  label,
  height,
  temper,
  finish,
  finishName,
}: WireSpec): WireSpecInput {
  return {
    metal,
    profile,
    gaugeSystem: label.system,
    gaugeNumber: label.number,
    height: `${height / 1000} mm`,
    temper,
    finish,
    finishName,
  };
}
