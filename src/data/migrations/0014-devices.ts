import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Which devices and services a studio has; those it says nothing of it has not. */
export const devices: Migration = {
  name: '0014-devices',
  statements: ({ appRole }) => [
    `CREATE TABLE devices (
       studio_id uuid NOT NULL REFERENCES studios,
       device text NOT NULL CHECK (device IN ('scale', 'calliper', 'label printer', 'metal prices')),
       kind text NOT NULL CHECK (kind IN ('none', 'simulated', 'address')),
       address text NOT NULL DEFAULT '' CHECK (length(address) <= 400 AND (address <> '') = (kind = 'address')),
       PRIMARY KEY (studio_id, device)
     )`,
    ...guardByStudio(appRole)('devices'),
    `GRANT SELECT, INSERT, UPDATE ON devices TO ${appRole}`,
  ],
};
