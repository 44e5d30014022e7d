'use client';

import { useEffect, useRef, type ReactNode } from 'react';

/** A modal dialog of the browser's own: focus stays in it, Escape closes it. */
export function Dialog({
  open,
  onClose,
  label,
  children,
}: {
  open: boolean;
  onClose: () => void;
  label: string;
  children: ReactNode;
}) {
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const dialog = ref.current;
    if (open && dialog && !dialog.open) dialog.showModal();
    if (!open && dialog?.open) dialog.close();
  }, [open]);
  return (
    <dialog
      ref={ref}
      aria-label={label}
      onClose={onClose}
      onClick={(event) => event.target === ref.current && onClose()}
      className="leaf m-auto mt-[8vh] w-[min(42rem,94vw)] p-0 text-base-content shadow-2xl"
    >
      {open && <div className="p-4">{children}</div>}
    </dialog>
  );
}
