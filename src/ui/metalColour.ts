import type { WireLook } from '@/core/wire/metalColour';

/** The one colour of a metal; coated wire has its own, since its metal cannot be seen. */
export const metalFill = ({ metal, finish }: WireLook): string =>
  `var(--metal-${finish === 'coated' ? 'coated' : metal})`;
export const metalEdge = ({ metal, finish }: WireLook): string =>
  `var(--metal-${finish === 'coated' ? 'coated' : metal}-edge)`;
