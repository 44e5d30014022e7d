import { useTickedEarly } from './useTypedEarly';

/** A choice of yes or no that takes effect at once. */
export function Tick({
  checked,
  onChange,
  className = '',
  children,
}: {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string;
  readonly children: string;
}) {
  const box = useTickedEarly(checked, onChange);
  return (
    <label className={`flex min-h-11 cursor-pointer items-center gap-2 ${className}`}>
      <input
        ref={box}
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={checked}
        onChange={({ target }) => onChange(target.checked)}
      />
      {children}
    </label>
  );
}
