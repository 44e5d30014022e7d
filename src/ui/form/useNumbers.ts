'use client';

import { useState } from 'react';
import { readNumbers, writeNumbers } from '@/core/units/writing';
import { useHouse } from '../house';

const asItIs = (text: string): string => text;

/** What a form's text and what stands in its box have to do with each other, apart from how numbers are written. */
export interface Dialect {
  /** Adds what a bare number leaves unsaid. */
  readonly complete: (typed: string) => string;
  /** What is shown for a value that came from elsewhere. */
  readonly display: (value: string) => string;
}

/**
 * A box for numbers in the studio's writing over a value in the readers'.
 * @returns what stands in the box, and what a typed text makes the value
 */
export function useNumbers(
  value: string,
  { complete = asItIs, display = asItIs }: Partial<Dialect> = {},
): {
  readonly shown: string;
  readonly type: (typed: string) => string;
  /** Puts into the box what was understood of it. */
  readonly settle: () => void;
} {
  const { numbers } = useHouse();
  const read = (typed: string) => complete(readNumbers(typed, numbers));
  const write = (text: string) => writeNumbers(display(text), numbers);
  const [typed, setTyped] = useState(() => write(value));
  return {
    // What stands in the box is what was typed, unless the value was since set from elsewhere.
    shown: read(typed) === value ? typed : write(value),
    type: (text) => {
      setTyped(text);
      return read(text);
    },
    settle: () => setTyped(write(value)),
  };
}
