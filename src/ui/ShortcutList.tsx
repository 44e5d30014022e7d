'use client';

import { Dialog } from './Dialog';
import type { Shortcut } from './useKeys';

/** Every key that does something. */
export function ShortcutList({
  onClose,
  shortcuts,
  areOn,
  onSwitch,
}: {
  onClose: () => void;
  shortcuts: readonly Shortcut[];
  areOn: boolean;
  onSwitch: () => void;
}) {
  return (
    <Dialog open onClose={onClose} label="Keyboard shortcuts">
      <h2 className="mb-3">Keys</h2>
      <dl className={`${areOn ? '' : 'muted'} grid grid-cols-[3rem_1fr] gap-y-2`}>
        {shortcuts.map(({ keys, does }) => (
          <div key={keys} className="contents">
            <dt>
              <kbd className="kbd">{keys}</kbd>
            </dt>
            <dd className="self-center">{does}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-4 flex min-h-11 cursor-pointer items-center gap-2">
        <input type="checkbox" className="toggle" checked={areOn} onChange={onSwitch} />
        Single keys do these things, on this browser
      </label>
      <form method="dialog" className="mt-4">
        <button type="submit" className="btn">
          Close
        </button>
      </form>
    </Dialog>
  );
}
