import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';

/** What a data folder keeps beside its cluster. */
export interface Secrets {
  /** Of the role that owns the tables. */
  readonly password: string;
  /** Where the cluster lies: relative to the data folder when it lies inside, so that the folder may be moved or copied. */
  readonly cluster: string;
  /** Roles and database are made. */
  readonly ready: boolean;
}

const fileIn = (folder: string): string => path.join(folder, 'secrets.json');

export const newPassword = (): string => randomBytes(24).toString('hex');

/** What a data folder keeps; undefined when it is missing, cut short or not what it should be. */
export function readSecrets(folder: string): Secrets | undefined {
  try {
    const read: unknown = JSON.parse(fs.readFileSync(fileIn(folder), 'utf8'));
    const { password, cluster, ready } = (read ?? {}) as Partial<Record<keyof Secrets, unknown>>;
    if (typeof password !== 'string' || !/^[0-9a-f]{48}$/.test(password)) return undefined;
    if (typeof cluster !== 'string' || cluster === '') return undefined;
    return { password, cluster, ready: ready === true };
  } catch {
    return undefined;
  }
}

/** Writes them whole or not at all. */
export function writeSecrets(folder: string, secrets: Secrets): void {
  const file = fileIn(folder);
  fs.writeFileSync(`${file}.new`, JSON.stringify(secrets, null, 2), { mode: 0o600, flush: true });
  fs.renameSync(`${file}.new`, file);
}

/** What could be read of damaged secrets is kept beside the new ones. */
export function putAside(folder: string): void {
  if (fs.existsSync(fileIn(folder))) fs.renameSync(fileIn(folder), `${fileIn(folder)}.damaged`);
}
