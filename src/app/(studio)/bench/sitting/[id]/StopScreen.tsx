'use client';

import { OctagonAlert } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Said } from '@/ui/house';

/**
 * What must be so before the work goes on, over the whole screen. The pedal and the keys that go on do nothing here: somebody has to look, and say
 * that it is so.
 */
export function StopScreen({
  name,
  piece,
  stops,
  onPassed,
  onBack,
}: {
  name: string;
  piece: string;
  stops: readonly string[];
  onPassed: () => void;
  onBack: () => void;
}) {
  const ref = useRef<HTMLDialogElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    const dialog = ref.current;
    if (dialog && !dialog.open) dialog.showModal();
    // No button is chosen for whoever presses Enter without looking.
    heading.current?.focus();
  }, []);
  return (
    <dialog
      ref={ref}
      aria-label={`Stop before “${name}”`}
      className="bench m-0 h-dvh max-h-none w-screen max-w-none bg-base-100 p-6 text-base-content md:p-12"
      onCancel={(event) => {
        event.preventDefault();
        onBack();
      }}
      onKeyDown={(event) => {
        if (event.key === 'y') onPassed();
        if (event.key === 'p' || event.key === 'PageUp' || event.key === 'ArrowLeft') onBack();
      }}
    >
      <div className="mx-auto flex h-full max-w-4xl flex-col justify-center gap-6">
        <p className="not-to-miss flex items-center gap-3 font-bold">
          <OctagonAlert size={48} aria-hidden="true" className="shrink-0" /> Stop{piece && `: ${piece}`}
        </p>
        <h1 ref={heading} tabIndex={-1} className="text-3xl outline-none md:text-5xl">
          Before “<Said>{name}</Said>”
        </h1>
        <ul className="not-to-miss space-y-3 border-l-8 border-base-content pl-4 font-semibold">
          {stops.map((stop) => (
            <li key={stop}>
              <Said>{stop}</Said>
            </li>
          ))}
        </ul>
        <div className="grid gap-4 sm:grid-cols-2">
          <button type="button" className="btn btn-lg min-h-20 text-2xl" onClick={onBack} title="Back (p)">
            Not yet: go back
          </button>
          <button
            type="button"
            className="btn btn-primary btn-lg min-h-20 text-2xl"
            onClick={onPassed}
            title="It is so (y)"
          >
            It is so: go on
          </button>
        </div>
      </div>
    </dialog>
  );
}
