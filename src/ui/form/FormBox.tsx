'use client';

import { useSyncExternalStore, type FormEventHandler, type ReactNode } from 'react';

const never = () => () => undefined;

/** Whether scripts run on this page yet: not while the server draws it, nor before the browser has taken it over. */
const useIsListening = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/** A form of the house. It stays shut until it listens: what was typed into it earlier would be lost. */
export function FormBox({
  onSubmit,
  className = '',
  label,
  children,
}: {
  onSubmit: FormEventHandler<HTMLFormElement>;
  className?: string;
  label?: string;
  children: ReactNode;
}) {
  return (
    <form onSubmit={onSubmit} noValidate {...(label === undefined ? {} : { 'aria-label': label })}>
      <fieldset disabled={!useIsListening()} className={`min-w-0 ${className}`}>
        {children}
      </fieldset>
    </form>
  );
}
