import { cookies } from 'next/headers';
import type { LengthSystem } from '@/core/units/length';

/** How this browser shows things; kept in plain cookies so that the first paint is right. */
export interface Preferences {
  readonly theme: 'light' | 'dark' | null;
  readonly lengthSystem: LengthSystem | null;
  /** Whether single keys are no shortcuts. */
  readonly keysAreOff: boolean;
}

export async function readPreferences(): Promise<Preferences> {
  const jar = await cookies();
  const theme = jar.get('theme')?.value;
  const system = jar.get('lengths')?.value;
  return {
    theme: theme === 'light' || theme === 'dark' ? theme : null,
    lengthSystem: system === 'in' || system === 'mm' ? system : null,
    keysAreOff: jar.get('keys')?.value === 'off',
  };
}
