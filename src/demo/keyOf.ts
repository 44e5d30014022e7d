import { createHash } from 'node:crypto';

/** A key that is the same for the same act, so that a run that was cut off does nothing twice. */
export function keyOf(act: string): string {
  const hex = createHash('sha256').update(`demo ${act}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
