import { ADDRESSED, DEVICE_KINDS, DEVICES, type Device } from '@/devices/devices';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsOneOf } from '../kernel/rules';

/** What the studio has of a device. */
export class SetDeviceInput {
  @ReadsOneOf(DEVICES, 'a device') device!: string;
  @ReadsBy<SetDeviceInput>('readsDeviceKind', (text, { device }) =>
    text === 'address' && !ADDRESSED.includes(device as Device)
      ? refuse(`The ${device} has no address here.`)
      : DEVICE_KINDS.some((kind) => kind === text)
        ? ok(text)
        : refuse(`Choose one of ${DEVICE_KINDS.join(', ')}.`),
  )
  kind!: string;

  @ReadsBy<SetDeviceInput>('readsAddress', (text, { kind }) => {
    if (kind !== 'address') return ok('');
    const isAddress = URL.canParse(text) && /^https?:$/.test(new URL(text).protocol) && text.length <= 400;
    return isAddress
      ? ok(text)
      : refuse(`“${text.slice(0, 60)}” is not an address; write it like http://192.168.1.20:8080.`);
  })
  address!: string;
}
