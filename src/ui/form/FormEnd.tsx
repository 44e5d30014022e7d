'use client';

import type { ReactNode } from 'react';
import type { FormProblem } from './problem';
import type { TypedBefore } from './useTyped';
import { Said } from '../house';

/** The end of a form: what is wrong with it as a whole, and its one primary action. */
export function FormEnd({
  problem,
  sending,
  before,
  action,
  busy,
  quiet = false,
  children,
}: {
  problem: FormProblem | undefined;
  sending: boolean;
  /** What was typed on an earlier visit, and is back. */
  before?: TypedBefore;
  action: string;
  busy: string;
  /** For a form beside the page's own: its action is not the primary one. */
  quiet?: boolean;
  children?: ReactNode;
}) {
  return (
    <div className="mt-4 space-y-3">
      {before?.isBack && (
        <p
          role="status"
          className="no-print flex flex-wrap items-center gap-x-3 border-l-4 border-base-content/40 p-2 text-sm"
        >
          What you typed here before is back; it was not sent.
          <button type="button" className="btn btn-ghost btn-sm min-h-11" onClick={before.startAnew}>
            Start anew
          </button>
        </p>
      )}
      <div aria-live="assertive">
        {problem && (
          <p role="alert" className="border-l-4 border-error bg-error/10 p-3 font-semibold">
            <Said>{problem.message}</Said>
          </p>
        )}
      </div>
      {sending && <progress className="progress progress-primary block w-full" aria-label={busy} />}
      <div className="flex flex-wrap items-center gap-3">
        <button type="submit" className={quiet ? 'btn' : 'btn btn-primary btn-lg'} disabled={sending}>
          {sending ? busy : action}
        </button>
        {children}
      </div>
    </div>
  );
}
