'use client';

import type { ReactNode } from 'react';

/** A way back or forth, with what it takes back or does again. */
export function BackButton({
  of,
  onGo,
  title,
  children,
}: {
  readonly of: string | undefined;
  readonly onGo: (() => void) | undefined;
  readonly title: string;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="btn"
      disabled={!onGo}
      onClick={onGo}
      title={of ? `${title}: ${of}` : title}
    >
      {children}
      {of && <span className="max-w-36 truncate font-normal">{of}</span>}
    </button>
  );
}
