import { DEVICE_KINDS, DEVICES } from '@/devices/devices';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsOneOf } from '../kernel/rules';

/** What the studio has of a device. */
export class SetDeviceInput {
  @ReadsOneOf(DEVICES, 'a device') device!: string;
  @ReadsOneOf(DEVICE_KINDS, 'what the studio has') kind!: string;

  @ReadsBy<SetDeviceInput>('readsAddress', (text, { kind }) => {
    if (kind !== 'address') return ok('');
    const isAddress = URL.canParse(text) && /^https?:$/.test(new URL(text).protocol) && text.length <= 400;
    return isAddress
      ? ok(text)
      : refuse(`“${text.slice(0, 60)}” is not an address; write it like http://192.168.1.20:8080.`);
  })
  address!: string;
}
