'use client';

import { useState } from 'react';
import { readInside } from '@/core/parameter/readTexts';
import type { Result } from '@/core/result';
import { completedRing } from '@/core/ring/ringSize';
import type { Micrometres } from '@/core/units/length';
import { useHouse } from '@/ui/house';

/** An inside diameter as it is typed: a bare number is in millimetres, anything else may be a ring size of the house. */
export function useInside(): {
  readonly typed: string;
  readonly setTyped: (typed: string) => void;
  /** What that says; undefined while nothing is typed. */
  readonly read: Result<Micrometres> | undefined;
} {
  const { rings } = useHouse();
  const [typed, setTyped] = useState('');
  const plain = typed.trim();
  const isBare = /^[\d.,]+$/.test(plain);
  return {
    typed,
    setTyped,
    read: plain === '' ? undefined : readInside(isBare ? `${plain} mm` : completedRing(typed, rings), 'mm'),
  };
}
