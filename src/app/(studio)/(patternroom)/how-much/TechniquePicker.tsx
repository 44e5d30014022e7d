'use client';

import { memo, useState } from 'react';
import { TECHNIQUE_GROUPS, type OfferedTechnique } from '@/core/technique/technique';
import { useTypedEarly } from '@/ui/form/useTypedEarly';

/** The technique whose name a text is, begins or is part of, in that order; the first of them all when none is. */
function bestNamed(found: readonly OfferedTechnique[], wanted: string): OfferedTechnique | undefined {
  const named = (fits: (title: string) => boolean) => found.find(({ title }) => fits(title.toLowerCase()));
  return (
    named((title) => title === wanted) ??
    named((title) => title.startsWith(wanted)) ??
    named((title) => title.includes(wanted)) ??
    found[0]
  );
}

/** Every technique by its group: type a part of its name, arrows move, Enter picks. */
export const TechniquePicker = memo(function TechniquePicker({
  techniques,
  chosen,
  onPick,
}: {
  techniques: readonly OfferedTechnique[];
  chosen: string;
  onPick: (id: string) => void;
}) {
  const [text, setText] = useState('');
  const search = useTypedEarly(text, setText);
  const wanted = text.trim().toLowerCase();
  const found = techniques.filter(({ title, group }) => `${title} ${group}`.toLowerCase().includes(wanted));
  const at = found.findIndex(({ id }) => id === chosen);
  const best = wanted === '' ? found[at] : bestNamed(found, wanted);
  const onKeyDown = (event: React.KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step === undefined && event.key !== 'Enter') return;
    event.preventDefault();
    const next = step === undefined ? best : found[(found.length + at + step) % found.length];
    if (next) onPick(next.id);
  };
  return (
    <nav
      aria-label="Techniques"
      className="leaf no-print flex max-h-64 flex-col p-3 lg:max-h-[calc(100dvh-8rem)]"
    >
      <input
        ref={search}
        autoFocus
        type="search"
        className="input w-full shrink-0 text-base"
        placeholder="Find a technique"
        aria-label="Find a technique"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <div className="mt-2 overflow-y-auto">
        {found.length === 0 && <p className="muted text-sm">No technique is called “{text.slice(0, 40)}”.</p>}
        {TECHNIQUE_GROUPS.map((group) => {
          const inGroup = found.filter((each) => each.group === group);
          if (inGroup.length === 0) return null;
          return (
            <section key={group} className="mb-2">
              <h2 className="muted font-sans text-sm font-normal first-letter:uppercase">{group}</h2>
              <ul>
                {inGroup.map(({ id, title }) => (
                  <li key={id}>
                    <button
                      type="button"
                      aria-current={id === chosen ? 'true' : undefined}
                      className={`min-h-9 w-full rounded px-2 text-left ${id === chosen ? 'bg-base-300 font-semibold' : 'hover:bg-base-200'}`}
                      onClick={() => onPick(id)}
                    >
                      {title}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          );
        })}
      </div>
    </nav>
  );
});
