'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  DEVICES,
  type Device,
  type DeviceKind,
  type DeviceSetting,
  type DeviceSettings,
} from '@/devices/devices';
import { TextInput } from '@/ui/form/Field';
import { newKey } from '@/ui/newKey';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { setDeviceAction } from './actions';

const WORDS: Readonly<Record<DeviceKind, string>> = {
  none: 'none',
  simulated: 'simulated',
  address: 'at an address',
};

/** What an address looks like, and what has to answer there. */
const ADDRESSES: Readonly<Record<Device, string>> = {
  scale: 'http://192.168.1.20/reading',
  calliper: 'http://192.168.1.21/reading',
  'label printer': 'http://192.168.1.22/labels',
  'metal prices': 'http://192.168.1.20:8080',
};
const ANSWERS: Readonly<Record<Device, string>> = {
  scale: 'GET answers what it shows: 60.12 g',
  calliper: 'GET answers what it shows: 0.72 mm',
  'label printer': 'POST takes a PDF, one label a page',
  'metal prices': 'GET /prices answers JSON; see the description of the interface',
};

interface DevicesFormProps {
  readonly devices: DeviceSettings;
  /** Whether stand-ins may be chosen: in the demonstration studio. */
  readonly standIns: boolean;
}

/** Which devices and services the studio has. */
export function DevicesForm({ devices, standIns }: DevicesFormProps) {
  return (
    <section className="leaf mt-6 p-4" aria-label="Devices">
      <h2>Devices</h2>
      <p className="muted mt-1 text-sm">
        What a device says is typed in for you. {standIns && 'Simulated ones invent what they show.'}
      </p>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        {DEVICES.map((device) => (
          <DeviceRow key={device} device={device} setting={devices[device]} standIns={standIns} />
        ))}
      </div>
    </section>
  );
}

function DeviceRow({
  device,
  setting,
  standIns,
}: {
  device: Device;
  setting: DeviceSetting;
  standIns: boolean;
}) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, run } = useAct();
  const [kind, setKind] = useState(setting.kind);
  const [address, setAddress] = useState(setting.address);
  const kinds: DeviceKind[] = ['none', ...(standIns ? (['simulated'] as const) : []), 'address'];
  const save = (next: DeviceKind) =>
    void run(
      () => setDeviceAction(newKey(), { device, kind: next, address: next === 'address' ? address : '' }),
      () => {
        toast('Saved.');
        router.refresh();
      },
    );
  return (
    <div>
      <label className="text-sm font-semibold first-letter:uppercase">
        <span className="inline-block first-letter:uppercase">{device}</span>
        <select
          className="select w-full text-base font-normal"
          value={kind}
          disabled={busy}
          onChange={({ target: { value } }) => {
            const next = kinds.find((each) => each === value) ?? 'none';
            setKind(next);
            if (next !== 'address') save(next);
          }}
        >
          {kinds.map((each) => (
            <option key={each} value={each}>
              {WORDS[each]}
            </option>
          ))}
        </select>
      </label>
      {kind === 'address' && (
        <div className="mt-2 flex gap-2">
          <TextInput
            aria-label={`Address of the ${device}`}
            placeholder={ADDRESSES[device]}
            value={address}
            onChange={({ target: { value } }) => setAddress(value)}
          />
          <button type="button" className="btn" disabled={busy} onClick={() => save('address')}>
            Save
          </button>
        </div>
      )}
      {kind === 'address' && <p className="muted mt-1 text-sm">{ANSWERS[device]}</p>}
      {problem && (
        <p role="alert" className="mt-1 text-sm font-semibold text-error">
          {problem}
        </p>
      )}
    </div>
  );
}
