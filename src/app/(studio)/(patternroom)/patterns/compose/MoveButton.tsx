import type { LucideIcon } from 'lucide-react';

/** A step is moved by a place to either side. */
export function MoveButton({
  icon: Icon,
  label,
  disabled,
  onClick,
}: {
  readonly icon: LucideIcon;
  readonly label: string;
  readonly disabled: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm min-h-11 px-2"
      disabled={disabled}
      onClick={onClick}
      aria-label={label}
    >
      <Icon size={16} aria-hidden="true" />
    </button>
  );
}
