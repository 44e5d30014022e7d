import type { WireSpec } from '@/core/wire/spec';

type Coloured = Pick<WireSpec, 'metal' | 'finish'>;

/** The one colour of a metal; coated wire has its own, since its metal cannot be seen. */
export const metalFill = ({ metal, finish }: Coloured): string =>
  `var(--metal-${finish === 'coated' ? 'coated' : metal})`;
export const metalEdge = ({ metal, finish }: Coloured): string =>
  `var(--metal-${finish === 'coated' ? 'coated' : metal}-edge)`;
