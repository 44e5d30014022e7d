'use client';

import type { FormEventHandler, ReactNode } from 'react';
import { useIsListening } from '../useIsListening';

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
