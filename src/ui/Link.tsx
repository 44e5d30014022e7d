'use client';

import NextLink from 'next/link';
import { useState, type ComponentProps } from 'react';

type LinkProps = Omit<ComponentProps<typeof NextLink>, 'prefetch'>;

/** A link to a page inside. Nothing is fetched before it is followed: a list of links would ask for every page in it. */
export function Link(props: LinkProps) {
  return <NextLink {...props} prefetch={false} />;
}

/** A link to a place: its page is fetched ahead once somebody points at it. */
export function PlaceLink(props: LinkProps) {
  const [isPointedAt, setPointedAt] = useState(false);
  const point = () => setPointedAt(true);
  return <NextLink {...props} prefetch={isPointedAt ? null : false} onPointerEnter={point} onFocus={point} />;
}
