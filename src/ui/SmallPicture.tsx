import type { ReactNode } from 'react';
import { tag, type Tagged } from '@/core/tag';

interface SmallPictureProps {
  readonly of: Extract<Tagged, 'pattern' | 'piece' | 'batch'>;
  readonly number: number;
  /** Of a batch. */
  readonly line?: number;
  /** Of what is seen. */
  readonly name: string;
  readonly className?: string;
}

/** What something looks like, small: a pattern, a finished piece, or a line of a batch. It comes when it is scrolled to. */
export function SmallPicture({ of, number, line, name, className = 'h-28 w-full' }: SmallPictureProps) {
  const file = `${tag(of, number)}${line === undefined ? '' : `.${line}`}.svg`;
  return (
    <img
      src={`/pictures/${file}`}
      alt={`${name}, drawn to scale`}
      loading="lazy"
      decoding="async"
      className={`object-contain ${className}`}
    />
  );
}

/** The head of a page, beside a picture of what it is about. */
export function BesidePicture({
  children,
  ...picture
}: Omit<SmallPictureProps, 'className'> & { readonly children: ReactNode }) {
  return (
    <div className="flex items-start justify-between gap-4">
      <div className="min-w-0 grow">{children}</div>
      <SmallPicture
        {...picture}
        className="h-24 w-24 shrink-0 sm:h-32 sm:w-40 md:h-44 md:w-56 print:h-16 print:w-24"
      />
    </div>
  );
}
