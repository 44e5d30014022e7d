import { tag, type Tagged } from '@/core/tag';

/**
 * What something looks like, small: a pattern, a finished piece, or a line of a batch. It comes when it is scrolled to.
 * @param name of what is seen
 */
export function SmallPicture({
  of,
  number,
  line,
  name,
  className = 'h-28 w-full',
}: {
  readonly of: Extract<Tagged, 'pattern' | 'piece' | 'batch'>;
  readonly number: number;
  readonly line?: number;
  readonly name: string;
  readonly className?: string;
}) {
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
