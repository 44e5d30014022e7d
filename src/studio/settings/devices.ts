import { areStandInsOffered, DEVICES, type DeviceSetting, type DeviceSettings } from '@/devices/devices';
import type { Tx } from '@/data/inStudio';
import { DeviceRow } from '@/data/models/studio';
import { invalid } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { SetDeviceInput } from './devices.input';

const NONE: DeviceSetting = { kind: 'none', address: '' };

/** What a studio has of every device, inside a transaction. */
export async function devicesIn(tx: Tx): Promise<DeviceSettings> {
  const rows = await tx.all(DeviceRow, ['device', 'kind', 'address']);
  const known = new Map(rows.map(({ device, kind, address }) => [device, { kind, address }]));
  return Object.fromEntries(DEVICES.map((device) => [device, known.get(device) ?? NONE])) as DeviceSettings;
}

/** What a studio has of every device: of a new one, none. */
export const readDevices = (session: StudioSession): Promise<DeviceSettings> => look(session, devicesIn);

/** Says what the studio has of a device. Stand-ins invent their readings, so a studio that keeps real books is not given any. */
export const setDevice = posts(
  'setDevice',
  { input: SetDeviceInput, by: 'owner' },
  async ({ tx }, { device, kind, address }) => {
    if (kind === 'simulated' && !areStandInsOffered(process.env['PEWTERER_MODE']))
      throw invalid('kind', 'Stand-ins invent what they show; they are for the demonstration studio only.');
    await tx.put(DeviceRow, [{ device, kind, address }], ['kind', 'address']);
    return null;
  },
);
