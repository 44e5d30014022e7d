'use client';

import { useEffect, useRef, type FormEventHandler, type ReactNode } from 'react';
import { useIsListening } from '../useIsListening';

/** A form of the house. It stays shut until it listens: what was typed into it earlier would be lost. */
export function FormBox({
  onSubmit,
  className = '',
  label,
  begins = false,
  children,
}: {
  onSubmit: FormEventHandler<HTMLFormElement>;
  className?: string;
  label?: string;
  /** Whether it is what its page is for: the hand begins in its first field. */
  begins?: boolean;
  children: ReactNode;
}) {
  const isListening = useIsListening();
  const box = useRef<HTMLFieldSetElement>(null);
  useEffect(() => {
    if (!isListening || !begins || (document.activeElement ?? document.body) !== document.body) return;
    box.current?.querySelector<HTMLElement>('input, select, textarea')?.focus({ preventScroll: true });
  }, [begins, isListening]);
  return (
    <form onSubmit={onSubmit} noValidate {...(label === undefined ? {} : { 'aria-label': label })}>
      <fieldset ref={box} disabled={!isListening} className={`min-w-0 ${className}`}>
        {children}
      </fieldset>
    </form>
  );
}
