import { Link } from './Link';
import type { ReactNode } from 'react';

interface Step {
  readonly href: string;
  readonly text: string;
}

interface EmptyPlaceProps {
  readonly title: string;
  readonly children: ReactNode;
  /** The next step, when this person may take it. */
  readonly next?: Step | undefined;
  /** Another way to begin. */
  readonly or?: Step | undefined;
}

/** A place with nothing in it yet: what it is for, and the next step. */
export function EmptyPlace({ title, children, next, or }: EmptyPlaceProps) {
  return (
    <section className="leaf mx-auto mt-6 max-w-2xl p-6">
      <h1>{title}</h1>
      <p className="mt-3">{children}</p>
      <p className="mt-5 flex flex-wrap gap-3">
        {next && (
          <Link href={next.href} className="btn btn-primary btn-lg">
            {next.text}
          </Link>
        )}
        {or && (
          <Link href={or.href} className="btn btn-lg">
            {or.text}
          </Link>
        )}
      </p>
    </section>
  );
}
