'use client';

import type { ReactNode } from 'react';
import type { FormProblem } from './problem';

/** The end of a form: what is wrong with it as a whole, and its one primary action. */
export function FormEnd({
  problem,
  sending,
  action,
  busy,
  quiet = false,
  children,
}: {
  problem: FormProblem | undefined;
  sending: boolean;
  action: string;
  busy: string;
  /** For a form beside the page's own: its action is not the primary one. */
  quiet?: boolean;
  children?: ReactNode;
}) {
  return (
    <div className="mt-4 space-y-3">
      <div aria-live="assertive">
        {problem && (
          <p role="alert" className="border-l-4 border-error bg-error/10 p-3 font-semibold">
            {problem.message}
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
