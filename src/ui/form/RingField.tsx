'use client';

import type { FieldValues } from 'react-hook-form';
import { completedRing, describeRing, ringOf } from '@/core/ring/ringSize';
import { readInside } from '@/core/parameter/readTexts';
import { UM_PER_MM } from '@/core/units/length';
import { useHouse } from '../house';
import { DialectField, type BaseProps, type TextDialect } from './fields';

/** The inside of a ring, by its size or its diameter; a bare number is a size as the studio has them. */
export function RingField<Values extends FieldValues>(props: BaseProps<Values>) {
  const { rings } = useHouse();
  const dialect: TextDialect = {
    complete: (typed) => completedRing(typed, rings),
    display: (value) => value,
    understood: (value) => {
      const read = value === '' ? undefined : readInside(value, 'mm');
      return read?.ok ? describeRing(ringOf(read.value / UM_PER_MM)) : undefined;
    },
  };
  return <DialectField {...props} dialect={dialect} />;
}
