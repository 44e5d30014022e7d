'use client';

import { useId, type InputHTMLAttributes, type ReactNode } from 'react';
import { Said } from '../house';

/** What a field's control needs to be tied to its label, hint and error. */
export interface ControlTies {
  readonly id: string;
  readonly 'aria-invalid': boolean;
  readonly 'aria-describedby': string | undefined;
}

interface FieldProps {
  readonly label: ReactNode;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly hideLabel?: boolean;
  readonly children: (ties: ControlTies) => ReactNode;
}

/** A label, its control, what was understood or is meant, and the error beside it. */
export function Field({ label, hint, error, hideLabel = false, children }: FieldProps) {
  const id = useId();
  const said = [error ? `${id}-error` : '', hint ? `${id}-hint` : ''].filter(Boolean).join(' ');
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-sm font-semibold'}>
        {label}
      </label>
      {children({ id, 'aria-invalid': Boolean(error), 'aria-describedby': said || undefined })}
      {error && (
        <p id={`${id}-error`} className="mt-1 text-sm font-semibold text-error">
          <Said>{error}</Said>
        </p>
      )}
      {hint && (
        <p id={`${id}-hint`} className="muted mt-0.5 text-sm">
          {hint}
        </p>
      )}
    </div>
  );
}

type InputProps = InputHTMLAttributes<HTMLInputElement>;

/** A text box of the house. */
export function TextInput({ className = '', ...rest }: InputProps & { ref?: React.Ref<HTMLInputElement> }) {
  const wrong = rest['aria-invalid'] ? 'input-error' : '';
  return (
    <input
      type="text"
      autoComplete="off"
      {...rest}
      className={`input w-full text-base ${wrong} ${className}`}
    />
  );
}
