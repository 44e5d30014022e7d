'use client';

import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { Said } from './house';

interface Toast {
  readonly id: number;
  readonly text: string;
}

const ToastContext = createContext<(text: string) => void>(() => undefined);

const SHOWN_MS = 6000;

/** Short notes that something was done; read out politely, gone after a few seconds. */
export function ToastProvider({ children }: { children: ReactNode }) {
  const [toasts, setToasts] = useState<readonly Toast[]>([]);
  const show = useCallback((text: string) => {
    const id = Date.now() + Math.random();
    setToasts((now) => [...now, { id, text }]);
    setTimeout(() => setToasts((now) => now.filter((toast) => toast.id !== id)), SHOWN_MS);
  }, []);
  const value = useMemo(() => show, [show]);
  return (
    <ToastContext value={value}>
      {children}
      <div
        className="toast toast-center no-print z-50 bottom-16 md:bottom-4"
        role="status"
        aria-live="polite"
      >
        {toasts.map(({ id, text }) => (
          <div key={id} className="alert bg-neutral text-neutral-content border-0 shadow-lg">
            <Said>{text}</Said>
          </div>
        ))}
      </div>
    </ToastContext>
  );
}

export const useToast = (): ((text: string) => void) => useContext(ToastContext);
