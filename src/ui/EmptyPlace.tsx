import { Link } from './Link';
import type { ReactNode } from 'react';

interface EmptyPlaceProps {
  readonly title: string;
  readonly children: ReactNode;
  /** The next step, when this person may take it. */
  readonly next?: { readonly href: string; readonly text: string } | undefined;
}

/** A place with nothing in it yet: what it is for, and the next step. */
export function EmptyPlace({ title, children, next }: EmptyPlaceProps) {
  return (
    <section className="leaf mx-auto mt-6 max-w-2xl p-6">
      <h1>{title}</h1>
      <p className="mt-3">{children}</p>
      {next && (
        <Link href={next.href} className="btn btn-primary btn-lg mt-5">
          {next.text}
        </Link>
      )}
    </section>
  );
}
