/** Devices and services beside the studio. */
export const DEVICES = ['scale', 'calliper', 'label printer', 'metal prices'] as const;
export type Device = (typeof DEVICES)[number];

/** `none`: there is none. `simulated`: the stand-in that ships. `address`: one that answers over HTTP. */
export const DEVICE_KINDS = ['none', 'simulated', 'address'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** What a studio has of a device. */
export interface DeviceSetting {
  readonly kind: DeviceKind;
  /** Where it answers; empty for the other kinds. */
  readonly address: string;
}
export type DeviceSettings = Readonly<Record<Device, DeviceSetting>>;

/** Whether stand-ins are offered: never in a studio that keeps real books. */
export const areStandInsOffered = (mode: string | undefined): boolean => mode !== 'start';
