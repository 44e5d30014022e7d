import { ChevronDown } from 'lucide-react';
import type { ReactNode } from 'react';

/** Something that is done now and then: shut until it is wanted, driven by the browser's own keys. */
export function Fold({
  title,
  open = false,
  onOpen,
  children,
}: {
  title: string;
  open?: boolean;
  /** Told when it was opened or shut: what weighs much comes when it is wanted. */
  onOpen?: (isOpen: boolean) => void;
  children: ReactNode;
}) {
  return (
    <details
      open={open}
      onToggle={onOpen && (({ currentTarget }) => onOpen(currentTarget.open))}
      className="border-b border-base-300 py-2 last:border-b-0"
    >
      <summary className="flex min-h-11 cursor-pointer items-center justify-between gap-3 font-semibold">
        {title}
        <ChevronDown size={18} aria-hidden="true" className="shrink-0 in-open:rotate-180" />
      </summary>
      <div className="pt-1 pb-3">{children}</div>
    </details>
  );
}
