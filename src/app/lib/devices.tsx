'use client';

import { createContext, useContext, type ReactNode } from 'react';
import type { Device, DeviceKind } from '@/devices/devices';

type Kinds = Readonly<Partial<Record<Device, DeviceKind>>>;

const DevicesContext = createContext<Kinds>({});

export function DevicesProvider({ kinds, children }: { kinds: Kinds; children: ReactNode }) {
  return <DevicesContext value={kinds}>{children}</DevicesContext>;
}

/** What the studio has of a device; its panel is shown where it has one. */
export const useDevice = (device: Device): DeviceKind => useContext(DevicesContext)[device] ?? 'none';
