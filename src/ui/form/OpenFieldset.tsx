import type { ReactNode } from 'react';
import { useIsListening } from '../useIsListening';

/** Fields without a form. They stay shut until the page listens: what was done to them earlier would be lost. */
export function OpenFieldset({ className = '', children }: { className?: string; children: ReactNode }) {
  return (
    <fieldset disabled={!useIsListening()} className={`min-w-0 ${className}`}>
      {children}
    </fieldset>
  );
}
