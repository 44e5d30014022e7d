import { DEVICE_KINDS, DEVICES, type Device, type DeviceKind } from '@/devices/devices';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsOneOf } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** What the studio has of a device. */
export class SetDeviceInput {
  @ReadsOneOf(DEVICES, 'a device') device!: Typed<Device>;
  @ReadsOneOf(DEVICE_KINDS, 'what the studio has') kind!: Typed<DeviceKind>;

  @ReadsBy('readsAddress', (text, { kind }: SetDeviceInput) => {
    if (kind !== 'address') return ok('');
    const isAddress = URL.canParse(text) && /^https?:$/.test(new URL(text).protocol) && text.length <= 400;
    return isAddress
      ? ok(text.trim())
      : refuse(`“${text.slice(0, 60)}” is not an address; write it like http://192.168.1.20:8080.`);
  })
  address!: string;
}
