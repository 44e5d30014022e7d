'use client';

import { useEffect, useRef, type ReactNode } from 'react';

/** A modal dialog of the browser's own: focus stays in it, Escape closes it. */
export function Dialog({
  open,
  onClose,
  label,
  isWide = false,
  staysOpen = false,
  children,
}: {
  open: boolean;
  onClose: () => void;
  label: string;
  /** Whether what stands in it needs the width of the screen. */
  isWide?: boolean;
  /** Whether a click beside it leaves it open: what was done in it would be lost. */
  staysOpen?: boolean;
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
      onClick={(event) => !staysOpen && event.target === ref.current && onClose()}
      className={`leaf m-auto p-0 text-base-content shadow-2xl ${isWide ? 'mt-[3vh] w-[min(64rem,96vw)]' : 'mt-[8vh] w-[min(42rem,94vw)]'}`}
    >
      {open && <div className="p-4">{children}</div>}
    </dialog>
  );
}
