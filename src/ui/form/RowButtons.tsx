'use client';

import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';

/** Adds a row to a list in a form. */
export function AddButton({
  onClick,
  disabled = false,
  children,
}: {
  onClick: () => void;
  disabled?: boolean;
  children: ReactNode;
}) {
  return (
    <button type="button" className="btn btn-sm mt-2 min-h-11" onClick={onClick} disabled={disabled}>
      <Plus size={16} aria-hidden="true" />
      {children}
    </button>
  );
}

/** Takes a row out of a list in a form; `quiet` shows the sign only, `brief` one word, and says the rest to who cannot see it. */
export function RemoveButton({
  what,
  onClick,
  quiet = false,
  brief = false,
}: {
  what: string;
  onClick: () => void;
  quiet?: boolean;
  brief?: boolean;
}) {
  return (
    <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={onClick}>
      <Trash2 size={16} aria-hidden="true" />
      <span className={quiet ? 'sr-only' : ''}>
        Remove <span className={brief ? 'sr-only' : ''}>{what}</span>
      </span>
    </button>
  );
}
